/**
 * What is told to the user, before it has words: a code and the values for its places. The sentences are in the bundles of
 * {@code nexa.words}, in whatever language; nothing below it says anything in one.
 */
@NullMarked
package nexa.core.told;

import org.jspecify.annotations.NullMarked;
