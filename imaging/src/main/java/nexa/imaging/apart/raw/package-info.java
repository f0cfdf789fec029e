/** Raw files developed in the process apart, by LibRaw. */
@NullMarked
package nexa.imaging.apart.raw;

import org.jspecify.annotations.NullMarked;
