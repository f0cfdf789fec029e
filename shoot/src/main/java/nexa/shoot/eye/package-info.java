/** Taking the glow out of the eyes of photos by what can be seen in them. */
@NullMarked
package nexa.shoot.eye;

import org.jspecify.annotations.NullMarked;
