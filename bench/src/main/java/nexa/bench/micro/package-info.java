/** Benchmarks of single steps, run by JMH. */
@NullMarked
package nexa.bench.micro;

import org.jspecify.annotations.NullMarked;
