/** What is seen in photographs, and the frames that follow from it, against what a person sees. */
@NullMarked
package nexa.bench.sight;

import org.jspecify.annotations.NullMarked;
