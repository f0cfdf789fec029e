/**
 * All models of one open shoot, made together and closed together.
 */
@NullMarked
package nexa.desktop.model;

import org.jspecify.annotations.NullMarked;
