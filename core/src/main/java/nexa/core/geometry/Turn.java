package nexa.core.geometry;

/**
 * Quarter turns clockwise, and then, if mirrored, left and right exchanged: the eight ways to lay a picture down.
 * Turns form a group (the symmetries of the square), so any series of them is one of the eight.
 *
 * @param quarterTurns 0 to 3; other values are taken modulo 4
 */
public record Turn(int quarterTurns, boolean mirrored) {
    public static final Turn NONE = new Turn(0, false);
    public static final Turn CLOCKWISE = new Turn(1, false);
    public static final Turn COUNTERCLOCKWISE = new Turn(3, false);
    public static final Turn MIRROR = new Turn(0, true);
    public static final Turn FLIP = new Turn(2, true);

    /** Indexed by EXIF orientation (TIFF 6.0, tag 274); 0 stands for a missing tag. */
    private static final Turn[] BY_EXIF = {
        NONE, NONE, MIRROR, new Turn(2, false), FLIP, new Turn(1, true), CLOCKWISE, new Turn(3, true), COUNTERCLOCKWISE
    };

    public Turn {
        quarterTurns = Math.floorMod(quarterTurns, 4);
    }

    /** The turn that shows stored pixels as shot; an orientation outside 1 to 8 counts as 1. */
    public static Turn ofExif(int orientation) {
        return orientation >= 1 && orientation <= 8 ? BY_EXIF[orientation] : NONE;
    }

    /** This turn and then the next, as one. */
    public Turn then(Turn next) {
        int turns = mirrored ? quarterTurns - next.quarterTurns : quarterTurns + next.quarterTurns;
        return new Turn(turns, mirrored != next.mirrored);
    }

    public Turn inverse() {
        return new Turn(mirrored ? quarterTurns : -quarterTurns, mirrored);
    }

    public boolean swapsSides() {
        return quarterTurns % 2 == 1;
    }

    public PixelSize apply(PixelSize size) {
        return swapsSides() ? size.transposed() : size;
    }

    /** The point turned about the origin. */
    public Point apply(Point p) {
        Point turned =
                switch (quarterTurns) {
                    case 1 -> new Point(-p.y(), p.x());
                    case 2 -> new Point(-p.x(), -p.y());
                    case 3 -> new Point(p.y(), -p.x());
                    default -> p;
                };
        return mirrored ? new Point(-turned.x(), turned.y()) : turned;
    }

    /** The frame turned about the origin. */
    public Frame apply(Frame frame) {
        Point centre = apply(frame.centre());
        return swapsSides()
                ? new Frame(centre.x(), centre.y(), frame.height(), frame.width())
                : new Frame(centre.x(), centre.y(), frame.width(), frame.height());
    }
}
