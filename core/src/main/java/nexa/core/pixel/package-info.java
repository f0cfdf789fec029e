/**
 * What is done to pixels' values, beside the mapping that moves them: steps before sampling, in linear light, and steps
 * after it. Values only; {@code nexa.imaging.render} and {@code deliver} do them. A new step is a new case of one of the two
 * sealed lists, and from then on part of every key.
 */
@NullMarked
package nexa.core.pixel;

import org.jspecify.annotations.NullMarked;
