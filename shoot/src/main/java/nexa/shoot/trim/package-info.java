/** Trimming photos by what can be seen at their edges. */
@NullMarked
package nexa.shoot.trim;

import org.jspecify.annotations.NullMarked;
