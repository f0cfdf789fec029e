/**
 * What is pointed out to those who are here for the first time. When something is pointed out is decided in one place
 * without a window; what shows of it takes no presses.
 */
@NullMarked
package nexa.desktop.hint;

import org.jspecify.annotations.NullMarked;
