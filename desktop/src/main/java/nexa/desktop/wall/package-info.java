/**
 * The Wall: all photos at equal area, chosen and adjusted together.
 */
@NullMarked
package nexa.desktop.wall;

import org.jspecify.annotations.NullMarked;
