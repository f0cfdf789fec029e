/**
 * What lies over the window or frames it: panes and their layer, header, notices, settings, keys, the review of
 * levels.
 */
@NullMarked
package nexa.desktop.pane;

import org.jspecify.annotations.NullMarked;
