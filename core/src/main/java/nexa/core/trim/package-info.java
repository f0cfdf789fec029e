/**
 * The part of a photo inside its borders: what it is, and what is found of it. A trim only says where the photo ends; no
 * pixel moves for it.
 */
@NullMarked
package nexa.core.trim;

import org.jspecify.annotations.NullMarked;
