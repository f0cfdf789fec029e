/**
 * White balance in pixels: what a place says of the light, how even a picture's light is, and the change itself. Done in
 * linear light, on the photo's own colours.
 */
@NullMarked
package nexa.imaging.neutral;

import org.jspecify.annotations.NullMarked;
