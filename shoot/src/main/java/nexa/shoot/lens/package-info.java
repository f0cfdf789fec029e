/**
 * Which lens a photo was taken with, from its file and the lens data, and what that comes to on it. What a photographer
 * chose for a camera and lens is remembered for the next photos of both.
 */
@NullMarked
package nexa.shoot.lens;

import org.jspecify.annotations.NullMarked;
