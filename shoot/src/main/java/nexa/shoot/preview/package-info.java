/**
 * Small pictures for screens, kept on disk by content.
 */
@NullMarked
package nexa.shoot.preview;

import org.jspecify.annotations.NullMarked;
