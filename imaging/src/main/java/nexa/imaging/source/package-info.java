/**
 * Opening a photo, of whatever kind: its pixels with the profile and the metadata that come with them.
 */
@NullMarked
package nexa.imaging.source;

import org.jspecify.annotations.NullMarked;
