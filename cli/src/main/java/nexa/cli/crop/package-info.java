/** Commands on the brief and on crops: formats, frames, states, marks, carrying and the figures of a set. */
@NullMarked
package nexa.cli.crop;

import org.jspecify.annotations.NullMarked;
