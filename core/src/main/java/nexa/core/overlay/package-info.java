/**
 * Composition lines. All geometry is in the unit square of a frame, (0, 0) = top left, y down; the frame's aspect is
 * needed wherever angles or circles must be true in the picture.
 */
@NullMarked
package nexa.core.overlay;

import org.jspecify.annotations.NullMarked;
