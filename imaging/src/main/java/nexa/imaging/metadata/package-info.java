/** What delivered files say in words: EXIF, XMP and IPTC made of what the source says and what is added. */
@NullMarked
package nexa.imaging.metadata;

import org.jspecify.annotations.NullMarked;
