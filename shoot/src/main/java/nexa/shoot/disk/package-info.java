/**
 * Writing a file so that it appears whole or not at all. What may be written where is decided by
 * {@link nexa.shoot.guard.WriteGuard}; only it, the store's own files and the user's settings come here.
 */
@NullMarked
package nexa.shoot.disk;

import org.jspecify.annotations.NullMarked;
