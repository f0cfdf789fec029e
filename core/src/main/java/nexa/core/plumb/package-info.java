/**
 * The camera turned after the fact, so that what is upright stands upright: the turn itself, and how it is found from
 * lines along what ought to be upright or level.
 *
 * <p>A camera's angles are counted as the photo was shot: pitch, positive where the camera looked up; yaw, positive where
 * it looked to the right of the wall before it; both in degrees. Undoing them is the <em>plumb</em>; a roll is undone by the
 * photo's tilt.
 */
@NullMarked
package nexa.core.plumb;

import org.jspecify.annotations.NullMarked;
