/** How long files of every kind and their colours take. */
@NullMarked
package nexa.bench.kinds;

import org.jspecify.annotations.NullMarked;
