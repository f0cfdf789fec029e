/** Which picture of a raw file is the photo: the one that the camera put in, or its sensor data developed. */
@NullMarked
package nexa.shoot.raw;

import org.jspecify.annotations.NullMarked;
