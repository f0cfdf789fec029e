/**
 * Proposing marks for photos.
 */
@NullMarked
package nexa.shoot.mark;

import org.jspecify.annotations.NullMarked;
