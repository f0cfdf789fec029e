/**
 * From what a photographed chart or an even wall shows of a lens to the measures of the calibration format, by least
 * squares.
 */
@NullMarked
package nexa.core.lens.measure;

import org.jspecify.annotations.NullMarked;
