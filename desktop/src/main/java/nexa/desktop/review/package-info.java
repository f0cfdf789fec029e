/** Proposals for several photos, to be gone through one by one: no nodes. */
@NullMarked
package nexa.desktop.review;

import org.jspecify.annotations.NullMarked;
