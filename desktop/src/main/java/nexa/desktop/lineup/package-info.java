/**
 * The Line-up: results side by side at one scale, with the figures of the set.
 */
@NullMarked
package nexa.desktop.lineup;

import org.jspecify.annotations.NullMarked;
