/** What a press on the Bench begins, how it goes on under the pointer, and what becomes of it when it is let go. */
@NullMarked
package nexa.desktop.bench.gesture;

import org.jspecify.annotations.NullMarked;
