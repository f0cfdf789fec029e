/** Eyes that a flash made glow: finding them beside faces, and taking the glow out of the pupil. */
@NullMarked
package nexa.imaging.eye;

import org.jspecify.annotations.NullMarked;
