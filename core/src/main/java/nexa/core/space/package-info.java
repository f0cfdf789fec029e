/**
 * The spaces a photo passes through on its way to a delivered picture, composed in one place.
 *
 * <ol>
 * <li><b>stored</b>: pixels as in the file; (0, 0) is the outer corner of the first pixel, pixel centres at +0.5.
 * <li><b>as shot</b>: EXIF orientation applied; what the camera meant.
 * <li><b>corrected</b>: lens, then plumb; as shot where there is no correction. As large as the as-shot photo.
 * <li><b>upright</b>: the photographer's quarter turns and mirror applied too, W × H pixels.
 * <li><b>level</b>: upright rotated by the tilt about the photo's centre. Frames are axis-aligned here.
 * </ol>
 *
 * <p>Every space is y down. As shot, corrected and level also exist in an <em>isotropic unit</em>: origin at the photo's
 * centre, 1.0 = the photo's long edge. Angles are degrees, positive = clockwise as seen.
 */
@NullMarked
package nexa.core.space;

import org.jspecify.annotations.NullMarked;
