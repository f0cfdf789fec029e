/** Benchmarks, run by {@code ./nexa bench}; the figures measured with them stand in docs/benchmarks.md. */
@NullMarked
package nexa.bench;

import org.jspecify.annotations.NullMarked;
