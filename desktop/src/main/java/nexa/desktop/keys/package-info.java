/** What keys do, and what they do for this user. */
@NullMarked
package nexa.desktop.keys;

import org.jspecify.annotations.NullMarked;
