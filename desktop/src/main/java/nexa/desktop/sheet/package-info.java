/** What lies over a whole shoot's screen and takes all keys while it does: the sheet of all keys, and what the program is. */
@NullMarked
package nexa.desktop.sheet;

import org.jspecify.annotations.NullMarked;
