/** Commands that list photos and write files: handover, sidecars and tables, contact sheets and prints. */
@NullMarked
package nexa.cli.deliver;

import org.jspecify.annotations.NullMarked;
