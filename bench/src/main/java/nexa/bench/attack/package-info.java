/**
 * What is done to the program on purpose: killed processes, hostile names and links, changed bytes. Each run counts what
 * was lost, written where it must not be, or hung.
 */
@NullMarked
package nexa.bench.attack;

import org.jspecify.annotations.NullMarked;
