/** Small repairs between a crop and a delivery, as the interface works with them: no nodes. */
@NullMarked
package nexa.desktop.repair;

import org.jspecify.annotations.NullMarked;
