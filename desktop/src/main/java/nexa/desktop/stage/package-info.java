/** The window itself: where it opens, and the grey that surrounds photos in it. */
@NullMarked
package nexa.desktop.stage;

import org.jspecify.annotations.NullMarked;
