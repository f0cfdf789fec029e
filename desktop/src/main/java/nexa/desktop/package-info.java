/**
 * The window. {@link nexa.desktop.session.Session} holds what is shown and what can be done, without any node; the views
 * bind to it; {@link nexa.desktop.MainWindow} puts them together. Nothing here computes geometry, reads photos or
 * renders files: that is the shoot's.
 */
@NullMarked
package nexa.desktop;

import org.jspecify.annotations.NullMarked;
