/** What finders share that look with a neural network: reading it from the program's own files, and of many boxes one each. */
@NullMarked
package nexa.imaging.network;

import org.jspecify.annotations.NullMarked;
