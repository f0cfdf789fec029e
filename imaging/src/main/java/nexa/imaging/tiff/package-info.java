/** The tags of TIFF files, and pixels of those that the pixel library does not read as they are meant. */
@NullMarked
package nexa.imaging.tiff;

import org.jspecify.annotations.NullMarked;
