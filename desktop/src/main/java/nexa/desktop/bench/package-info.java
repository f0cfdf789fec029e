/**
 * The Bench: one photo large, framed and levelled with the pointer, its neighbours beside it. The photo is one
 * raster, warped off the interface's thread; what lies on it is drawn on a canvas. It binds to the session and
 * edits through it.
 */
@NullMarked
package nexa.desktop.bench;

import org.jspecify.annotations.NullMarked;
