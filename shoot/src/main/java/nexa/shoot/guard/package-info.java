/**
 * What Nexa may write. Every file it makes outside its own store goes through {@link nexa.shoot.guard.WriteGuard}, so
 * that no caller can forget that photos and other people's files stay as they are.
 */
@NullMarked
package nexa.shoot.guard;

import org.jspecify.annotations.NullMarked;
