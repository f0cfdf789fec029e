/**
 * The brief, what the photographer asked of each photo, and the frames that follow from both.
 *
 * <p>A {@link nexa.core.brief.Crop} holds a <em>wish</em>; the frame is always computed from it anew
 * ({@link nexa.core.brief.Derivation}), so nothing ratchets smaller.
 */
@NullMarked
package nexa.core.brief;

import org.jspecify.annotations.NullMarked;
