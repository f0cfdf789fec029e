package nexa.imaging.thing;

import nexa.core.geometry.Frame;

/**
 * Something that was recognised.
 *
 * @param kind number of its class among those of COCO
 * @param confidence of the network, 0 to 1
 * @param box about it, in the picture's continuous pixels, inside the picture
 */
public record Thing(int kind, double confidence, Frame box) {
    private static final int PERSON = 0;

    public boolean isPerson() {
        return kind == PERSON;
    }

    /** What both boxes share, of what they cover together. */
    public static double overlap(Frame one, Frame other) {
        double across = Math.min(one.right(), other.right()) - Math.max(one.left(), other.left());
        double down = Math.min(one.bottom(), other.bottom()) - Math.max(one.top(), other.top());
        double shared = Math.max(0, across) * Math.max(0, down);
        return shared / (one.width() * one.height() + other.width() * other.height() - shared);
    }
}
