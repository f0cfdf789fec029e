/**
 * What several benchmarks share: the photos they are run on, programs started beside them, the window, and the peers they
 * are compared with.
 */
@NullMarked
package nexa.bench.base;

import org.jspecify.annotations.NullMarked;
