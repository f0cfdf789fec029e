/**
 * Where a photo's subject is, and where it shall lie in a frame.
 */
@NullMarked
package nexa.core.mark;

import org.jspecify.annotations.NullMarked;
