/**
 * Small pictures of photos and of their frames, as cards, tiles and the Line-up show them. They draw what they are given
 * and load nothing themselves.
 */
@NullMarked
package nexa.desktop.picture;

import org.jspecify.annotations.NullMarked;
