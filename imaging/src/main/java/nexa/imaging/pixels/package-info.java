/**
 * Decoded pixels. They live in native memory, so a {@link nexa.imaging.pixels.Picture} is used in a
 * try-with-resources scope and never kept by a model; screens get a {@link nexa.imaging.pixels.Raster}.
 */
@NullMarked
package nexa.imaging.pixels;

import org.jspecify.annotations.NullMarked;
