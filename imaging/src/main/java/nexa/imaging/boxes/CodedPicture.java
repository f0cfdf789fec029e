package nexa.imaging.boxes;

import java.util.List;
import nexa.core.geometry.PixelSize;
import org.jspecify.annotations.Nullable;

/**
 * Pixels as they lie in a HEIF file: one coded picture, or equal tiles that together cover it.
 *
 * @param coding {@code hvc1} or {@code av01}
 * @param configuration what the decoder must know before the first tile. Not copied, not to be changed
 * @param size of the whole, before it is cut, turned or mirrored
 * @param columns of tiles
 * @param tiles row by row, each with the pieces of the file that its data lies in
 * @param nclx what the numbers mean; null if only the coded data says it
 */
public record CodedPicture(
        String coding,
        byte[] configuration,
        PixelSize size,
        int columns,
        List<List<Extent>> tiles,
        @Nullable Nclx nclx) {
    public CodedPicture {
        tiles = List.copyOf(tiles);
    }
}
