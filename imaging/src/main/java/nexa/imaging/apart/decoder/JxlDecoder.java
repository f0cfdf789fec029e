package nexa.imaging.apart.decoder;

import static java.lang.foreign.ValueLayout.JAVA_BYTE;
import static java.lang.foreign.ValueLayout.JAVA_INT;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.lang.foreign.Arena;
import java.lang.foreign.MemorySegment;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import nexa.imaging.boxes.JxlFile;
import nexa.imaging.boxes.Nclx;
import nexa.imaging.pixels.PixelLimit;
import org.jspecify.annotations.Nullable;

/** JPEG XL by its reference library, where that is installed. Of moving pictures the first. */
final class JxlDecoder implements StillDecoder {
    private static final int THREADS = 2;
    private static final int BASIC_INFO = 0x40;
    private static final int COLOUR = 0x100;
    private static final int NEEDS_OUTPUT = 5;
    private static final int FULL_IMAGE = 0x1000;
    private static final int INFO_BYTES = 1024;
    private static final int FORMAT_BYTES = 24;
    private static final int UNSIGNED_8 = 2;
    private static final int UNSIGNED_16 = 3;

    private final JxlLibrary library;

    JxlDecoder() throws Refusal {
        library = new JxlLibrary();
    }

    /** Where the library puts what it says (JxlBasicInfo), in bytes. */
    private record Info(MemorySegment memory) {
        int width() {
            return memory.get(JAVA_INT, 4);
        }

        int height() {
            return memory.get(JAVA_INT, 8);
        }

        int bits() {
            return memory.get(JAVA_INT, 12) > Byte.SIZE ? 16 : 8;
        }

        int channels() {
            return memory.get(JAVA_INT, 52) == 1 ? 1 : 3;
        }

        long row() {
            return (long) width() * channels() * bits() / Byte.SIZE;
        }
    }

    @Override
    public void decode(Path file, int factor, Taker taker) throws IOException, Refusal {
        byte[] bytes = Files.readAllBytes(file);
        try (Arena arena = Arena.ofShared(); // the library's threads write into it
                JxlLibrary.Decoder decoder = library.new Decoder(BASIC_INFO | COLOUR | FULL_IMAGE, THREADS)) {
            MemorySegment all = arena.allocate(bytes.length);
            MemorySegment.copy(bytes, 0, all, JAVA_BYTE, 0, bytes.length);
            decoder.read(all);
            Pixels pixels = pixels(decoder, arena);
            Optional<HdrLight> light = HdrLight.of(hdr(file));
            light.ifPresent(hdr -> hdr.turn(pixels));
            taker.take(light.isPresent() ? pixels.withoutProfile() : pixels);
        }
    }

    private static @Nullable Nclx hdr(Path file) throws IOException, Refusal {
        try (SeekableByteChannel channel = Files.newByteChannel(file)) {
            return JxlFile.read(channel).hdr();
        } catch (ImageProcessingException damaged) {
            throw Refusal.damaged(String.valueOf(damaged.getMessage()));
        }
    }

    private static Pixels pixels(JxlLibrary.Decoder decoder, Arena arena) throws Refusal {
        Info info = new Info(arena.allocate(INFO_BYTES, 8));
        MemorySegment format = arena.allocate(FORMAT_BYTES, 8);
        MemorySegment output = MemorySegment.NULL;
        byte[] icc = {};
        while (true) {
            int happened = decoder.next();
            switch (happened) {
                case BASIC_INFO -> {
                    decoder.basicInfo(info.memory());
                    if ((long) info.width() * info.height() > PixelLimit.MOST) {
                        throw Refusal.damaged("more pixels than its beginning says");
                    }
                    format.set(JAVA_INT, 0, info.channels());
                    format.set(JAVA_INT, 4, info.bits() == 16 ? UNSIGNED_16 : UNSIGNED_8);
                }
                case COLOUR -> icc = decoder.profile(format, arena);
                case NEEDS_OUTPUT -> {
                    output = arena.allocate(info.row() * info.height(), 64);
                    decoder.output(format, output);
                }
                case FULL_IMAGE -> {
                    return new Pixels(
                            info.width(), info.height(), info.channels(), info.bits(), output, 0, info.row(), icc);
                }
                default -> throw Refusal.damaged("libjxl says " + happened);
            }
        }
    }
}
