/**
 * The program's log: a private file in the user's own state, and nowhere else.
 */
@NullMarked
package nexa.cli.log;

import org.jspecify.annotations.NullMarked;
