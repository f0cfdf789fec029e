/**
 * Small pictures of photos for screens, upright as shot.
 */
@NullMarked
package nexa.imaging.preview;

import org.jspecify.annotations.NullMarked;
