/**
 * Handovers timed and their sharpness measured, beside the libraries' own tools and another library's pipeline in the same run.
 */
@NullMarked
package nexa.bench.delivery;

import org.jspecify.annotations.NullMarked;
