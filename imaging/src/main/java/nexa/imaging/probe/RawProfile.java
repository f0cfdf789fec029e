package nexa.imaging.probe;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.zip.InflaterInputStream;
import nexa.imaging.source.JpegPrefix;

/**
 * EXIF as PNGs held it before there was a chunk for it: a text whose keyword is "Raw profile type exif", with a name, the number
 * of bytes, and the bytes in hexadecimal, in lines.
 */
final class RawProfile {
    private static final List<String> KEYWORDS = List.of("Raw profile type exif", "Raw profile type APP1");

    /** Characters; EXIF of a JPEG, where it came from, has at most a quarter of so many bytes. */
    private static final int MOST = 1 << 18;

    private RawProfile() {}

    /**
     * The EXIF structure in a chunk.
     *
     * @param type the chunk's
     * @return empty if it is another text, or damaged
     */
    static Optional<byte[]> exif(String type, byte[] chunk) {
        int keyword = 0;
        while (keyword < chunk.length && chunk[keyword] != 0) {
            keyword++;
        }
        if (!KEYWORDS.contains(new String(chunk, 0, keyword, StandardCharsets.ISO_8859_1))) {
            return Optional.empty();
        }
        try {
            byte[] profile = profile(text(type, chunk, keyword + 1));
            return JpegPrefix.EXIF.isAt(profile, 0) ? Optional.of(JpegPrefix.EXIF.without(profile)) : Optional.empty();
        } catch (IOException | RuntimeException damaged) { // as if there were none
            return Optional.empty();
        }
    }

    private static String text(String type, byte[] chunk, int at) throws IOException {
        if (!type.equals("zTXt")) {
            return new String(chunk, at, chunk.length - at, StandardCharsets.ISO_8859_1);
        }
        ByteArrayInputStream packed = new ByteArrayInputStream(chunk, at + 1, chunk.length - at - 1); // behind the way
        try (InflaterInputStream in = new InflaterInputStream(packed)) {
            return new String(in.readNBytes(MOST), StandardCharsets.ISO_8859_1);
        }
    }

    private static byte[] profile(String text) {
        String[] words = text.strip().split("\\s+", 3); // name, number of bytes, digits
        return HexFormat.of().parseHex(words[2].replaceAll("\\s", ""));
    }
}
