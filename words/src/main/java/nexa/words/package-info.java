/** All words that the interface shows. */
@NullMarked
package nexa.words;

import org.jspecify.annotations.NullMarked;
