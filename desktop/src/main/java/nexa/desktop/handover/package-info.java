/**
 * Handover: what will be written and how, the run, and what goes to paper or other programs.
 */
@NullMarked
package nexa.desktop.handover;

import org.jspecify.annotations.NullMarked;
