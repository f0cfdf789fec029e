/** Drawing photos, frames, mats and overlays on a canvas. */
@NullMarked
package nexa.desktop.paint;

import org.jspecify.annotations.NullMarked;
