/**
 * How alike the results of several photos are: where the subject lies in each frame, how large and how upright.
 */
@NullMarked
package nexa.core.lineup;

import org.jspecify.annotations.NullMarked;
