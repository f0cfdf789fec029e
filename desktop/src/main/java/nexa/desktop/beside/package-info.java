/**
 * Two or four results side by side, zoomed and moved together. {@link nexa.desktop.beside.SideBySide} chooses what is shown and
 * knows no nodes; {@link nexa.desktop.beside.SharedZoom} and {@link nexa.desktop.beside.SideLayout} are values and arithmetic.
 */
@NullMarked
package nexa.desktop.beside;

import org.jspecify.annotations.NullMarked;
