/**
 * Finds out what a file is: its kind by content, size and orientation, embedded pictures, whether it is whole. Reads
 * headers, and pixels only of kinds whose header does not say enough; keeps nothing and writes nothing.
 */
@NullMarked
package nexa.imaging.probe;

import org.jspecify.annotations.NullMarked;
