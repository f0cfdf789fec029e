package nexa.imaging.apart.raw;

import static java.lang.foreign.ValueLayout.JAVA_INT;
import static java.lang.foreign.ValueLayout.JAVA_SHORT;

import java.io.IOException;
import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import nexa.imaging.apart.decoder.Pixels;
import nexa.imaging.apart.decoder.Refusal;
import nexa.imaging.apart.decoder.StillDecoder;
import nexa.imaging.colour.Profile;

/** Cameras' raw data by LibRaw, where that is installed: 16 bits in wide colours, turned as they are to be seen. */
public final class RawDecoder {
    private static final int HEADER = 16;
    private static final int COLOURS = 3;
    private static final int BITS = 16;

    private final RawLibrary library;

    /** @throws Refusal if LibRaw is not installed */
    public RawDecoder() throws Refusal {
        library = new RawLibrary();
    }

    /**
     * What a file says before it is developed.
     *
     * @throws Refusal if it can't be developed
     */
    public Sensor sensor(Path file) throws IOException, Refusal {
        try (FileChannel channel = FileChannel.open(file);
                Arena arena = Arena.ofConfined();
                RawLibrary.Opened opened = library.new Opened(bytes(channel, arena))) {
            return new Sensor(opened.size(), opened.receptors());
        }
    }

    /**
     * Develops a file and lends its pixels.
     *
     * @throws Refusal if it can't be developed
     * @throws IOException if it can't be read, or from the taker
     */
    public void develop(Path file, Development development, StillDecoder.Taker taker) throws IOException, Refusal {
        try (FileChannel channel = FileChannel.open(file);
                Arena arena = Arena.ofConfined();
                RawLibrary.Opened opened = library.new Opened(bytes(channel, arena))) {
            MemorySegment image = opened.developed(development.demosaic(), arena);
            try {
                taker.take(pixels(image, development.brightness()));
            } finally {
                opened.clear(image);
            }
        }
    }

    private static MemorySegment bytes(FileChannel channel, Arena arena) throws IOException {
        return channel.map(FileChannel.MapMode.READ_ONLY, 0, channel.size(), arena);
    }

    /** The library's header: type, height, width, colours, bits as 4 + 2 + 2 + 2 + 2 bytes, then the length. */
    private static Pixels pixels(MemorySegment image, double brightness) throws Refusal {
        MemorySegment header = image.reinterpret(HEADER);
        int height = header.get(JAVA_SHORT, 4) & 0xFFFF;
        int width = header.get(JAVA_SHORT, 6) & 0xFFFF;
        int colours = header.get(JAVA_SHORT, 8);
        long stride = (long) width * colours * BITS / Byte.SIZE;
        long length = Integer.toUnsignedLong(header.get(JAVA_INT, 12));
        if (header.get(JAVA_SHORT, 10) != BITS || length < stride * height || colours != COLOURS && colours != 1) {
            throw Refusal.damaged(width + " x " + height + " of " + colours + " colours");
        }
        MemorySegment values = image.reinterpret(HEADER + stride * height).asSlice(HEADER);
        if (isBlack(values)) {
            throw Refusal.damaged("nothing but black");
        }
        if (colours == COLOURS) {
            Exposure.apply(values, brightness);
        }
        byte[] icc = colours == COLOURS ? Profile.DEVELOPED.bytes() : null;
        return new Pixels(width, height, colours, BITS, values, 0, stride, icc);
    }

    private static boolean isBlack(MemorySegment values) {
        MemorySegment nothing = MemorySegment.ofArray(new byte[1 << 16]);
        for (long at = 0; at < values.byteSize(); at += nothing.byteSize()) {
            long length = Math.min(nothing.byteSize(), values.byteSize() - at);
            if (MemorySegment.mismatch(values, at, at + length, nothing, 0, length) >= 0) {
                return false;
            }
        }
        return true;
    }
}
