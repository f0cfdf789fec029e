/**
 * Aspect ratios, as a photographer names them, and how they turn with the photo.
 */
@NullMarked
package nexa.core.shape;

import org.jspecify.annotations.NullMarked;
