/**
 * What is known of a photo's file: its kind, facts, remarks, or the trouble it has. Values only; a bad file is a value,
 * not an exception. They are found out in {@code nexa.imaging.probe}.
 */
@NullMarked
package nexa.imaging.file;

import org.jspecify.annotations.NullMarked;
