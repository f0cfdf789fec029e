/**
 * Reading headers: size and orientation, embedded pictures, whether a file is whole. What is made of them is decided in
 * {@code nexa.imaging.codec}. Keeps nothing and writes nothing.
 */
@NullMarked
package nexa.imaging.probe;

import org.jspecify.annotations.NullMarked;
