/**
 * The commands. Each is a thin layer over {@link nexa.shoot.Shoot}: it reads options, makes one edit or one run, and
 * prints rows as a table or as JSON. Exit codes: 0 ok, 1 some photos failed (they are listed), 2 wrong usage.
 */
@NullMarked
package nexa.cli;

import org.jspecify.annotations.NullMarked;
