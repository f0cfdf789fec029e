/** Libraries of the operating system that are used where they are installed. */
@NullMarked
package nexa.imaging.system;

import org.jspecify.annotations.NullMarked;
