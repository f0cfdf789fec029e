package nexa.imaging.apart.raw;

/**
 * How a raw file is to be developed.
 *
 * @param brightness how light the camera showed it on average, on sRGB's curve, 0 to 1; 0 if that is not known
 */
public record Development(Demosaic demosaic, double brightness) {}
