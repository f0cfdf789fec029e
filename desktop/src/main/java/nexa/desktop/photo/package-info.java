/** Photos' pixels for the screen, loaded off the interface's thread. */
@NullMarked
package nexa.desktop.photo;

import org.jspecify.annotations.NullMarked;
