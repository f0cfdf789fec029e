/**
 * Opening files: one {@link nexa.imaging.codec.PhotoCodec} for each family, in the order of
 * {@link nexa.imaging.codec.PhotoCodecs}. Nothing outside this package tells kinds of files apart. A new family is a new
 * codec in that list; headers are read in {@code nexa.imaging.probe}.
 */
@NullMarked
package nexa.imaging.codec;

import org.jspecify.annotations.NullMarked;
