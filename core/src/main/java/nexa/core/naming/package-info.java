/**
 * Names of delivered files.
 */
@NullMarked
package nexa.core.naming;

import org.jspecify.annotations.NullMarked;
