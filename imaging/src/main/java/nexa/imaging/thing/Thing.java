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

    /** What COCO calls its kind, such as {@code vase}. */
    public String name() {
        return KindNames.of(kind);
    }

    public boolean isPerson() {
        return kind == PERSON;
    }
}
