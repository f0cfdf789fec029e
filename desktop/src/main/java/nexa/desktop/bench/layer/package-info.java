/**
 * What the Bench shows, layer on layer: the photo as one raster that is warped off the interface's thread, the photos beside
 * it, and what lies on it, drawn on canvases.
 */
@NullMarked
package nexa.desktop.bench.layer;

import org.jspecify.annotations.NullMarked;
