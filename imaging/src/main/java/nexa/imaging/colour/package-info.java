/**
 * Colour profiles and conversions between them. The engine is the JDK's LittleCMS.
 */
@NullMarked
package nexa.imaging.colour;

import org.jspecify.annotations.NullMarked;
