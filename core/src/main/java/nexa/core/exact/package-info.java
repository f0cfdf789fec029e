/** A frame in numbers: where it is and how large, in pixels, lengths or percent, from any of nine reference points. */
@NullMarked
package nexa.core.exact;

import org.jspecify.annotations.NullMarked;
