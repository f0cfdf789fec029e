package nexa.imaging.pixels;

/**
 * How much smaller than a photo all that is made of it is.
 *
 * @param by how many of its pixels along a side become one, at least; below 1 where something is larger
 * @param means of how many along a side what is decoded may be the mean, and nothing made of it shows less
 */
public record Reduced(double by, Reduction means) {
    /** Every pixel may be seen. */
    public static final Reduced NOT = new Reduced(1, Reduction.NONE);
}
