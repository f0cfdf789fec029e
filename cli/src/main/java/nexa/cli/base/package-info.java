/**
 * What all commands share: the folder and {@code --json}, opening and closing a shoot, photos and formats by name, rows
 * and exit codes. It knows no command.
 */
@NullMarked
package nexa.cli.base;

import org.jspecify.annotations.NullMarked;
