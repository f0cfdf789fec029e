/**
 * The measured lenses: cameras, lens profiles, their calibration and its interpolation between focal lengths, and which of
 * them a photo was taken with. Follows the open lens calibration format, version 1; values only, files of that format are
 * read by {@code nexa.imaging.lens}.
 */
@NullMarked
package nexa.core.lens.data;

import org.jspecify.annotations.NullMarked;
