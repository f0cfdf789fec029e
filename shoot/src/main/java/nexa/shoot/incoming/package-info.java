/**
 * Photos that come into the folder while the shoot is open.
 */
@NullMarked
package nexa.shoot.incoming;

import org.jspecify.annotations.NullMarked;
