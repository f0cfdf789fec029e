/** What the desk shows in place of the usual while something of the photo is worked at, and the controls for its amounts. */
@NullMarked
package nexa.desktop.desk.area;

import org.jspecify.annotations.NullMarked;
