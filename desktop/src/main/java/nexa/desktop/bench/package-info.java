/**
 * The Bench: one photo large, framed and levelled with the pointer or by keys, its neighbours beside it. It binds to the
 * session and edits through it; what is drawn lies in {@code layer}, what a press begins in {@code gesture}.
 */
@NullMarked
package nexa.desktop.bench;

import org.jspecify.annotations.NullMarked;
