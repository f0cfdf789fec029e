/** Commands, formats and photos found by typing what one wants. */
@NullMarked
package nexa.desktop.find;

import org.jspecify.annotations.NullMarked;
