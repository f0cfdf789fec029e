/**
 * What is seen in a photo: faces and what it is of. Found by looking at its pixels elsewhere; kept here as plain values, so
 * that frames can follow from it wherever they are computed.
 */
@NullMarked
package nexa.core.sight;

import org.jspecify.annotations.NullMarked;
