/**
 * What deserves a second look before photos are handed over.
 */
@NullMarked
package nexa.core.review;

import org.jspecify.annotations.NullMarked;
