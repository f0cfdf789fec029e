/**
 * Taking parts of one photo's crop to others. What is carried becomes the others' wish; what fits of it is computed as
 * always, and what could not be kept is named.
 */
@NullMarked
package nexa.core.carry;

import org.jspecify.annotations.NullMarked;
