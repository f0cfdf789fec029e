/** What decodes coded pictures in the process apart: one decoder for each kind, each giving red, green, blue rows or grey ones. */
@NullMarked
package nexa.imaging.apart.decoder;

import org.jspecify.annotations.NullMarked;
