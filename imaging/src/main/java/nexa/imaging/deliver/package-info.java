/**
 * Files for the client: pixels, colour profile and metadata, under the final name only when complete.
 */
@NullMarked
package nexa.imaging.deliver;

import org.jspecify.annotations.NullMarked;
