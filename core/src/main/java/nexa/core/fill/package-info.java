/** What goes where a frame shows no photo. */
@NullMarked
package nexa.core.fill;

import org.jspecify.annotations.NullMarked;
