/**
 * Finds the borders around a picture: even strips at its edges that end in straight lines.
 *
 * <p>Each side is looked at as {@linkplain nexa.imaging.border.Strip lines from the edge inwards}. On each, the border ends
 * where the colour departs from the border's own; those ends lie {@linkplain nexa.imaging.border.EdgeLine on a line} if it
 * is a border, and anywhere if it is a backdrop. The line is then {@linkplain nexa.imaging.border.EdgePlace found to parts
 * of a pixel}.
 */
@NullMarked
package nexa.imaging.border;

import org.jspecify.annotations.NullMarked;
