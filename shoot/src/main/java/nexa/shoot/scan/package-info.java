/**
 * Finding a folder's photos and recognising them again.
 */
@NullMarked
package nexa.shoot.scan;

import org.jspecify.annotations.NullMarked;
