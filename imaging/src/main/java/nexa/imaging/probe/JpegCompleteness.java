package nexa.imaging.probe;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalInt;
import nexa.core.geometry.PixelSize;
import nexa.imaging.blocks.ScanCheck;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;

/**
 * Tells whether a JPEG was cut off. A whole one has its end marker (FF D9, ITU T.81 B.1.1.3) after its scan data;
 * only where that is missing, the picture is decoded to see how far it goes.
 */
public final class JpegCompleteness {
    /** Cameras append at most some padding or small previews after the picture. */
    private static final int TAIL = 1 << 16;

    private static final int MOST_PIXELS_A_BYTE = 600;
    private static final int END_OF_IMAGE = 0xD9;

    private final PhotoFile file;
    private final JpegSegments segments;
    private final boolean ends;

    private JpegCompleteness(PhotoFile file) throws IOException {
        this.file = file;
        this.segments = file.segments();
        this.ends = segments.scan() >= 0 && endsAfter(file.channel(), segments.scan());
    }

    /** @param file a JPEG */
    public static JpegCompleteness of(PhotoFile file) throws IOException {
        return new JpegCompleteness(file);
    }

    /** The stored size, if it is a whole header of a kind that decoders read. */
    public Optional<PixelSize> size() throws IOException {
        return segments.size(file.channel());
    }

    /** Whether its values have eight bits, as those of nearly all have; decoders read no others. */
    public boolean isOfEightBits() throws IOException {
        int bits = segments.bits(file.channel());
        return bits == 0 || bits == Byte.SIZE;
    }

    /**
     * Whether the headers say more pixels than so few bytes can hold: decoders would spend minutes on filling them in.
     * Even an empty progressive picture takes a bit for each block of 64 pixels (ITU T.81, G.1.2).
     */
    public boolean promisesTooMuch() throws IOException {
        return size().map(PixelSize::area).orElse(0L) / MOST_PIXELS_A_BYTE > file.length();
    }

    /** How much of the picture's height is there, in percent; empty if the file is whole. */
    public OptionalInt percentIfCut() {
        if (segments.scan() < 0) {
            return OptionalInt.of(0);
        }
        int percent = ends ? 100 : decodedPercent(file.path());
        return percent >= 100 ? OptionalInt.empty() : OptionalInt.of(percent);
    }

    /** Whether the end is missing although all rows show something, as of a progressive file that was cut. */
    public boolean endsTooEarly() throws IOException {
        return !ends && ScanCheck.isDamaged(file.bytes());
    }

    private static boolean endsAfter(SeekableByteChannel channel, long scan) throws IOException {
        long from = Math.max(scan, channel.size() - TAIL);
        ByteBuffer tail = ByteBuffer.allocate((int) Math.max(0, channel.size() - from));
        if (!Bytes.of(channel).read(tail, from)) {
            return false;
        }
        for (int i = tail.capacity() - 2; i >= 0; i--) {
            if ((tail.get(i) & 0xFF) == 0xFF && (tail.get(i + 1) & 0xFF) == END_OF_IMAGE) {
                return true;
            }
        }
        return false;
    }

    private static int decodedPercent(Path file) {
        try (Picture picture = Decoder.decode(file, Reduction.EIGHTH)) {
            return (int) Math.round(100.0
                    * (picture.size().height() - picture.blankRowsAtEnd())
                    / picture.size().height());
        } catch (UnreadablePhotoException unreadable) { // said where its pixels are asked for
            return 0;
        }
    }
}
