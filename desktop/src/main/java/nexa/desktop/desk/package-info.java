/**
 * The desk below: tilt, overlays, sizes, marks, alternates and carrying, for the current photo or the chosen
 * ones.
 */
@NullMarked
package nexa.desktop.desk;

import org.jspecify.annotations.NullMarked;
