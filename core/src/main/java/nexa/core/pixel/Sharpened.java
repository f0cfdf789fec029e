package nexa.core.pixel;

/**
 * Unsharp masking: what a Gaussian blur takes away is added.
 *
 * @param sigma of the blur, in delivered pixels
 * @param strength how much of it
 */
public record Sharpened(double sigma, double strength) implements FinishStep {}
