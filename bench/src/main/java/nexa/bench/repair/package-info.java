/** Trials of the repairs on real photographs that are spoiled by known amounts, scored against those amounts. */
@NullMarked
package nexa.bench.repair;

import org.jspecify.annotations.NullMarked;
