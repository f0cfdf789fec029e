/**
 * What the user chose once and for all, and how it is remembered as text. Values and properties, no nodes.
 */
@NullMarked
package nexa.desktop.setting;

import org.jspecify.annotations.NullMarked;
