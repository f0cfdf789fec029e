/** Eyes that a flash made glow: where they are, and how much of the glow goes. Values only; {@code nexa.imaging.eye} does it. */
@NullMarked
package nexa.core.eye;

import org.jspecify.annotations.NullMarked;
