/**
 * Models of what leaves the shoot: the handover and its plan, paper, exchanged files. They work off the
 * interface's thread and know no nodes.
 */
@NullMarked
package nexa.desktop.delivering;

import org.jspecify.annotations.NullMarked;
