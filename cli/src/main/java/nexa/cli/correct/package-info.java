/**
 * Commands on what belongs to a photo whatever its format: level, lens, plumb, trim, neutral, red eyes, fill, raw data.
 */
@NullMarked
package nexa.cli.correct;

import org.jspecify.annotations.NullMarked;
