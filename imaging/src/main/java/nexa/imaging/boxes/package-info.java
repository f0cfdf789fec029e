/**
 * What the boxes of newer picture files say before any pixel is decoded: HEIC and AVIF (ISO/IEC 23008-12), JPEG 2000
 * (ISO/IEC 15444-1) and JPEG XL (ISO/IEC 18181). Damage is an {@link com.drew.imaging.ImageProcessingException}.
 */
@NullMarked
package nexa.imaging.boxes;

import org.jspecify.annotations.NullMarked;
