/**
 * Where things lie on pages. Millimetres, origin at a page's top left corner, y down.
 */
@NullMarked
package nexa.core.paper;

import org.jspecify.annotations.NullMarked;
