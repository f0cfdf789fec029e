/**
 * Fills what a rendered picture shows beyond the photo, at the delivered size.
 *
 * <p>{@linkplain nexa.imaging.fill.Surroundings From the surroundings}: for small patches around the blank, patches of the
 * photo are searched that look alike, from coarse to fine, and vote on what is there (Y. Wexler, E. Shechtman and M. Irani,
 * "Space-Time Completion of Video", IEEE PAMI 29, 2007; search after C. Barnes et al., "PatchMatch", SIGGRAPH 2009). The
 * delivered picture's own pixels are then copied along the offsets found, so that it is as sharp there as elsewhere.
 */
@NullMarked
package nexa.imaging.fill;

import org.jspecify.annotations.NullMarked;
