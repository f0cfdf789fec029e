/** Standing photos' uprights up by what can be seen in them. */
@NullMarked
package nexa.shoot.plumb;

import org.jspecify.annotations.NullMarked;
