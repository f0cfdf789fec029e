/** All that help can propose for a photo, found in one look at it. */
@NullMarked
package nexa.shoot.prepare;

import org.jspecify.annotations.NullMarked;
