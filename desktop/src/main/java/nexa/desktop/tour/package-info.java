/** A walk through the window without a display, which writes a picture of each view. Only the command for it knows it. */
@NullMarked
package nexa.desktop.tour;

import org.jspecify.annotations.NullMarked;
