/**
 * How pixels become delivered files: kind, colours, packing, finish, and what is said in them. A
 * {@link nexa.core.files.FileSettings} has a text that people can read and write.
 */
@NullMarked
package nexa.core.files;

import org.jspecify.annotations.NullMarked;
