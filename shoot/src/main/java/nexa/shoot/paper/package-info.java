/**
 * Crops on paper, as PDF: contact sheets to look at, and print sheets to be cut apart.
 */
@NullMarked
package nexa.shoot.paper;

import org.jspecify.annotations.NullMarked;
