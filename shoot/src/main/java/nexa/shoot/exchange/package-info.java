/**
 * What leaves and enters Nexa in open formats, as docs/formats.md describes them.
 */
@NullMarked
package nexa.shoot.exchange;

import org.jspecify.annotations.NullMarked;
