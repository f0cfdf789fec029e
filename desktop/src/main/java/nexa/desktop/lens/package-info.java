/** The list of a shoot's lenses. */
@NullMarked
package nexa.desktop.lens;

import org.jspecify.annotations.NullMarked;
