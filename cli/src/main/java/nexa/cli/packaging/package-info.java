/** What a package ships besides the program: its manual page, completion for shells, and which build it is. */
@NullMarked
package nexa.cli.packaging;

import org.jspecify.annotations.NullMarked;
