package nexa.imaging.probe;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Map;
import java.util.Optional;
import nexa.imaging.file.Trouble;

/** Kinds of image that nothing here reads, told by their first bytes, so that they are not called no image. */
final class OtherKinds {
    /** ISO/IEC 18181-2, container and codestream; ISO/IEC 15444-1, annexes I and A. */
    private static final Map<String, Trouble.Kind> BEGINNINGS = Map.of(
            "0000000c4a584c200d0a870a", Trouble.Kind.JPEG_XL,
            "ff0a", Trouble.Kind.JPEG_XL,
            "0000000c6a5020200d0a870a", Trouble.Kind.JPEG_2000,
            "ff4fff51", Trouble.Kind.JPEG_2000);

    private static final int LONGEST = 12;

    private OtherKinds() {}

    static Optional<Trouble.Kind> of(Path file) throws IOException {
        byte[] first;
        try (InputStream in = Files.newInputStream(file)) {
            first = in.readNBytes(LONGEST);
        }
        return BEGINNINGS.entrySet().stream()
                .filter(kind -> begins(first, HexFormat.of().parseHex(kind.getKey())))
                .map(Map.Entry::getValue)
                .findFirst();
    }

    private static boolean begins(byte[] bytes, byte[] beginning) {
        return bytes.length >= beginning.length
                && Arrays.equals(bytes, 0, beginning.length, beginning, 0, beginning.length);
    }
}
