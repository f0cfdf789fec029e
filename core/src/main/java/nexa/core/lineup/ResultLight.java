package nexa.core.lineup;

import nexa.core.neutral.White;

/**
 * The light of a result.
 *
 * @param luminance its mean, of light, 0 to 1
 * @param neutral the colour of what in it is nearly grey
 */
public record ResultLight(double luminance, White neutral) {
    /** L* of CIE 1976, 0 = black, 100 = white. */
    public double lightness() {
        return luminance > 216.0 / 24389 ? 116 * Math.cbrt(luminance) - 16 : 24389.0 / 27 * luminance;
    }
}
