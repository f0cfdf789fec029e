/**
 * From stored pixels to a frame's pixels in one resampling.
 */
@NullMarked
package nexa.imaging.render;

import org.jspecify.annotations.NullMarked;
