/**
 * Actions of the photographer as values that can be undone.
 */
@NullMarked
package nexa.shoot.edit;

import org.jspecify.annotations.NullMarked;
