/** The areas of the window, each a node that binds to the session. */
@NullMarked
package nexa.desktop.view;

import org.jspecify.annotations.NullMarked;
