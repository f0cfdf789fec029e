/**
 * The brief rail: a card for each format with its live result, and the panes that make and change formats.
 */
@NullMarked
package nexa.desktop.brief;

import org.jspecify.annotations.NullMarked;
