/**
 * The shoot's database. Everything that survives a restart passes through here.
 */
@NullMarked
package nexa.shoot.store;

import org.jspecify.annotations.NullMarked;
