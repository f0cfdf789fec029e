/** All words that the interface shows. */
@NullMarked
package nexa.desktop.words;

import org.jspecify.annotations.NullMarked;
