/** What is said when the program itself makes a mistake. */
@NullMarked
package nexa.desktop.mishap;

import org.jspecify.annotations.NullMarked;
