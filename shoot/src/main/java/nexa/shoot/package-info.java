/**
 * The open shoot: a folder of photos and what Nexa knows about them. Start at {@link nexa.shoot.Shoot}.
 */
@NullMarked
package nexa.shoot;

import org.jspecify.annotations.NullMarked;
