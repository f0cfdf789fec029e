/**
 * The photo's own edge in level space, and how far a frame can go before it meets it. A photo that is only turned has a
 * {@linkplain nexa.core.outline.TurnedRectangle rectangle}, measured in closed form; one that something bends has a
 * {@linkplain nexa.core.outline.Region polygon}, which may bend inwards.
 */
@NullMarked
package nexa.core.outline;

import org.jspecify.annotations.NullMarked;
