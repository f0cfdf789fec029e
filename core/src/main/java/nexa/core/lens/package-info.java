/**
 * What a lens does to a picture, as it was measured: how it bends straight lines, where its red and blue fall, and how much
 * light it leaves to the corners; which of the measured lenses a photo was taken with; and what the measures come to on
 * that photo.
 *
 * <p>The measures, their interpolation and the matching follow the open lens calibration format, version 1. Values
 * only: files of that format are read by {@code nexa.imaging.lens}.
 */
@NullMarked
package nexa.core.lens;

import org.jspecify.annotations.NullMarked;
