/** What can be seen in a photo by itself: line evidence. */
@NullMarked
package nexa.imaging.detect;

import org.jspecify.annotations.NullMarked;
