/**
 * From frames to whole pixels. Rounding to pixels happens here and nowhere else.
 */
@NullMarked
package nexa.core.print;

import org.jspecify.annotations.NullMarked;
