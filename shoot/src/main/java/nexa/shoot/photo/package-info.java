/** A photo as all of the shoot knows it: a value without pixels, and without what is asked of it. */
@NullMarked
package nexa.shoot.photo;

import org.jspecify.annotations.NullMarked;
