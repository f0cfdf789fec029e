package nexa.imaging.pixels;

/** Decoding at a fraction of the size, which JPEG does while decoding. */
public enum Reduction {
    NONE(1),
    HALF(2),
    QUARTER(4),
    EIGHTH(8);

    private final int factor;

    Reduction(int factor) {
        this.factor = factor;
    }

    public int factor() {
        return factor;
    }

    /** The strongest reduction that still leaves at least the asked long edge. */
    public static Reduction leaving(int longEdge, int ofLongEdge) {
        Reduction best = NONE;
        for (Reduction candidate : values()) {
            if (ofLongEdge / candidate.factor >= longEdge) {
                best = candidate;
            }
        }
        return best;
    }
}
