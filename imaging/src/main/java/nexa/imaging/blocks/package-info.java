/**
 * JPEGs cut on their own grid of blocks, with every coefficient as it was: nothing is decoded to pixels or compressed
 * again. And whether a JPEG's data is whole, by its codes alone. Sections and figures are those of ITU T.81.
 */
@NullMarked
package nexa.imaging.blocks;

import org.jspecify.annotations.NullMarked;
