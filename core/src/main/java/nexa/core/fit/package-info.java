/**
 * What fits inside a photo of what was asked for.
 *
 * <p>A frame of w × h, axis-aligned in level space, lies inside a photo tilted by t exactly when its bounding box along
 * the photo's own axes does: half that box is ((w cos t + h |sin t|) / 2, (w |sin t| + h cos t) / 2). So both the
 * largest size and the allowed centres are plain intervals along the photo's axes, and the fit is closed-form.
 */
@NullMarked
package nexa.core.fit;

import org.jspecify.annotations.NullMarked;
