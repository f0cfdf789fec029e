/** The open shoot as the window sees it: observable, without nodes. */
@NullMarked
package nexa.desktop.session;

import org.jspecify.annotations.NullMarked;
