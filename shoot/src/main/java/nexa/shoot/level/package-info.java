/** Levelling photos by what can be seen in them. */
@NullMarked
package nexa.shoot.level;

import org.jspecify.annotations.NullMarked;
