/**
 * Small nodes and words that views of several rooms share. They know values and settings, and no room.
 */
@NullMarked
package nexa.desktop.widget;

import org.jspecify.annotations.NullMarked;
