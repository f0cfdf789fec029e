/** White balance of photos by what can be seen in them. */
@NullMarked
package nexa.shoot.neutral;

import org.jspecify.annotations.NullMarked;
