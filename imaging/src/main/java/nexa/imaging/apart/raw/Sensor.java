package nexa.imaging.apart.raw;

import nexa.core.geometry.PixelSize;
import nexa.core.neutral.Receptors;

/**
 * What a raw file says before it is developed.
 *
 * @param size of the developed picture, turned as it is to be seen
 * @param receptors of the sensor; the eye's if they are not known or not three
 */
public record Sensor(PixelSize size, Receptors receptors) {}
