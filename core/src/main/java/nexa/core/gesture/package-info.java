/**
 * Drags as values: begun once from what was there, then asked for the result at each pointer position. The result always
 * counts from the beginning, so a drag out and back gives exactly what one started from. Points are in level space.
 */
@NullMarked
package nexa.core.gesture;

import org.jspecify.annotations.NullMarked;
