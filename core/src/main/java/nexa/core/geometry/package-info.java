/**
 * Points, frames, turns, tilt, and the mappings from one plane space to another. The spaces themselves are in
 * {@code nexa.core.space}.
 */
@NullMarked
package nexa.core.geometry;

import org.jspecify.annotations.NullMarked;
