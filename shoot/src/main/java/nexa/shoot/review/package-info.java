/**
 * Going through a shoot: which photos to look at, in which order, and which of them are nearly the same.
 */
@NullMarked
package nexa.shoot.review;

import org.jspecify.annotations.NullMarked;
