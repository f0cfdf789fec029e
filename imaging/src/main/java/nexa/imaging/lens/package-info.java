/**
 * Files of the open lens calibration format: those that come with Nexa and the user's own. A part of such a file that says
 * nothing sensible is left out and told of; nothing is ever written to those that are read.
 */
@NullMarked
package nexa.imaging.lens;

import org.jspecify.annotations.NullMarked;
