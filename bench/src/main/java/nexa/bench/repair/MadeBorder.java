package nexa.bench.repair;

import java.util.random.RandomGenerator;
import nexa.core.geometry.Frame;

/**
 * A kind of border to be put round photos.
 *
 * @param blue 0 to 255
 * @param noise of the border, a standard deviation
 * @param gradient by how much the border's light changes from one end to the other
 * @param blur standard deviation of the edge's softness, in pixels
 * @param lean degrees by which the photo lies crooked, either way
 * @param round radius of its corners, in pixels
 */
record MadeBorder(
        String name,
        Sides sides,
        int blue,
        int green,
        int red,
        int opacity,
        double noise,
        double gradient,
        double blur,
        double lean,
        double round) {
    /** Where it is. */
    enum Sides {
        ALL,
        BARS,
        PILLARS
    }

    static final MadeBorder[] KINDS = {
        plain("black bars", Sides.BARS, 0, 0, 0),
        plain("black pillars", Sides.PILLARS, 2, 2, 2),
        plain("white", Sides.ALL, 255, 255, 255),
        plain("cream", Sides.ALL, 205, 232, 240),
        plain("dark red", Sides.ALL, 30, 20, 120),
        plain("grey", Sides.ALL, 128, 128, 128),
        new MadeBorder("scanner bed, noisy", Sides.ALL, 228, 232, 230, 255, 6, 0, 0.6, 0, 0),
        new MadeBorder("scanner bed, unevenly lit", Sides.ALL, 205, 210, 212, 255, 3, 30, 0.6, 0, 0),
        new MadeBorder("soft edge", Sides.ALL, 245, 245, 245, 255, 1, 0, 4, 0, 0),
        new MadeBorder("laid crooked", Sides.ALL, 235, 235, 235, 255, 2, 6, 0.6, 2.5, 0),
        new MadeBorder("slide, round corners", Sides.ALL, 12, 12, 14, 255, 2, 0, 1, 0, 36),
        new MadeBorder("transparent", Sides.ALL, 0, 0, 0, 0, 0, 0, 0, 0, 0)
    };

    private static MadeBorder plain(String name, Sides sides, int blue, int green, int red) {
        return new MadeBorder(name, sides, blue, green, red, 255, 0, 0, 0, 0, 0);
    }

    /** Allowed distance of a found side from where it was put, in pixels. */
    double allowed() {
        return blur > 2 || lean > 0 ? 5 : 1;
    }

    /** Depths of the four sides, in pixels. */
    Frame inside(int width, int height, RandomGenerator random) {
        double left = sides == Sides.BARS ? 0 : random.nextDouble(0.02, 0.14) * width;
        double right = sides == Sides.BARS ? 0 : random.nextDouble(0.02, 0.14) * width;
        double top = sides == Sides.PILLARS ? 0 : random.nextDouble(0.02, 0.14) * height;
        double bottom = sides == Sides.PILLARS ? 0 : random.nextDouble(0.02, 0.14) * height;
        if (lean == 0 && blur == 0) { // whole pixels, as programs make them
            left = Math.rint(left);
            right = Math.rint(right);
            top = Math.rint(top);
            bottom = Math.rint(bottom);
        }
        return new Frame((left - right) / 2, (top - bottom) / 2, width - left - right, height - top - bottom);
    }
}
