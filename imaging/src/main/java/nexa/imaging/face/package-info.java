/** People's faces and their eyes, by a small neural network that ships with the program. */
@NullMarked
package nexa.imaging.face;

import org.jspecify.annotations.NullMarked;
