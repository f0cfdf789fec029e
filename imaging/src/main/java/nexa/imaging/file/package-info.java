/**
 * What a file says of itself, read from its headers without decoding pixels. A bad file is a value, not an exception.
 */
@NullMarked
package nexa.imaging.file;

import org.jspecify.annotations.NullMarked;
