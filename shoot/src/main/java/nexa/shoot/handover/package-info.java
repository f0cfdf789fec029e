/**
 * Rendering formats to files: a plan, then a run of it.
 */
@NullMarked
package nexa.shoot.handover;

import org.jspecify.annotations.NullMarked;
