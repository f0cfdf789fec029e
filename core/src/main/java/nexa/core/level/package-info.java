/**
 * From lines that ought to be level or plumb to the tilt that makes them so.
 */
@NullMarked
package nexa.core.level;

import org.jspecify.annotations.NullMarked;
