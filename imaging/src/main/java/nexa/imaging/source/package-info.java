/**
 * An opened photo: its pixels with the profile and the metadata that come with them. {@code nexa.imaging.codec} opens it.
 */
@NullMarked
package nexa.imaging.source;

import org.jspecify.annotations.NullMarked;
