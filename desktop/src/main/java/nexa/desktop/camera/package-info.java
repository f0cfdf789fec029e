/**
 * How the Bench looks at the photo: where it lies, how close it is looked at, and where a gesture holds it. No nodes; the
 * Bench's view, its layers and its pointer all ask the same camera.
 */
@NullMarked
package nexa.desktop.camera;

import org.jspecify.annotations.NullMarked;
