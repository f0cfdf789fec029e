package nexa.imaging.tiff;

import java.io.IOException;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.TreeMap;
import nexa.imaging.tiff.TiffStructure.Field;

/**
 * What a TIFF says, or a raw file that is one but for a magic number of its maker's. Its pixels are not read.
 *
 * @param exif what it says of the shot, as a structure of its own
 */
public record TiffHeaders(TiffTags tags, byte[] exif) {
    /** @throws IOException if the file can't be read or is none */
    public static TiffHeaders read(Path file) throws IOException {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            return read(channel);
        }
    }

    /** The same of a file that is open. */
    public static TiffHeaders read(SeekableByteChannel channel) throws IOException {
        TiffStructure structure = TiffStructure.of(new ChannelReader(channel));
        TreeMap<Integer, Field> first = structure.firstDirectory();
        return new TiffHeaders(new TiffTags(first, structure.order()), ExifExcerpt.of(structure, first));
    }
}
