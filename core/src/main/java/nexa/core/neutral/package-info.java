/**
 * White balance: which colour of light shall be neutral. A light is a chromaticity in the photo as its file has it, where
 * what looks neutral is of D65; by what it becomes neutral are {@link nexa.core.neutral.Receptors}. Nothing here knows pixels; {@code nexa.imaging.neutral} does.
 */
@NullMarked
package nexa.core.neutral;

import org.jspecify.annotations.NullMarked;
