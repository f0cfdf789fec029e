/**
 * Native decoders that may break down on hostile files, in processes of their own: a request goes in, pixels come back in
 * a temporary file, and a process that ends or hangs takes nothing with it. One more try is made in a new process; then
 * the reason is said. The decoders themselves are in {@code nexa.imaging.apart.decoder} and {@code nexa.imaging.apart.raw}.
 */
@NullMarked
package nexa.imaging.apart;

import org.jspecify.annotations.NullMarked;
