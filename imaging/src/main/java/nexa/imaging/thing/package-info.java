/** People, animals and things of everyday life, by a small neural network that ships with the program. */
@NullMarked
package nexa.imaging.thing;

import org.jspecify.annotations.NullMarked;
