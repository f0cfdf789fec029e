package nexa.imaging.codec;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Objects;
import java.util.zip.CRC32;
import java.util.zip.DeflaterOutputStream;
import nexa.core.geometry.PixelSize;
import nexa.imaging.TestPhotos;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.source.Source;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** EXIF that PNGs held in a text before there was a chunk for it. */
class RawProfileTest {
    private static final int HEADER_END = 33;

    /** A directory of one tag: orientation 6. */
    private static final byte[] EXIF = HexFormat.of().parseHex("4d4d002a00000008000101120003000000010006000000000000");

    @TempDir
    Path folder;

    private static byte[] profile(String kind) {
        byte[] whole = ByteBuffer.allocate(6 + EXIF.length)
                .put("Exif\0\0".getBytes(StandardCharsets.ISO_8859_1))
                .put(EXIF)
                .array();
        String digits = HexFormat.of().formatHex(whole).replaceAll(".{36}", "$0\n");
        return ("\n" + kind + "\n      " + whole.length + "\n" + digits + "\n").getBytes(StandardCharsets.ISO_8859_1);
    }

    private static byte[] chunk(String type, String kind) throws IOException {
        ByteArrayOutputStream content = new ByteArrayOutputStream();
        content.writeBytes(("Raw profile type " + kind + "\0").getBytes(StandardCharsets.ISO_8859_1));
        if (type.equals("zTXt")) {
            content.write(0);
            try (OutputStream packing = new DeflaterOutputStream(content)) {
                packing.write(profile(kind));
            }
        } else {
            content.writeBytes(profile(kind));
        }
        return content.toByteArray();
    }

    private Path png(String type, byte[] content) throws IOException {
        byte[] plain = Files.readAllBytes(TestPhotos.png(folder.resolve("plain.png"), 60, 40, false));
        ByteBuffer out = ByteBuffer.allocate(plain.length + content.length + 12).put(plain, 0, HEADER_END);
        out.putInt(content.length)
                .put(type.getBytes(StandardCharsets.ISO_8859_1))
                .put(content);
        CRC32 sum = new CRC32();
        sum.update(out.array(), HEADER_END + 4, 4 + content.length);
        out.putInt((int) sum.getValue()).put(plain, HEADER_END, plain.length - HEADER_END);
        return Files.write(folder.resolve("photo.png"), out.array());
    }

    @ParameterizedTest
    @CsvSource({"tEXt, exif", "zTXt, exif", "zTXt, APP1"})
    void aPhotoConvertedByAnOlderProgram_standsUpright(String type, String kind) throws IOException {
        Path file = png(type, chunk(type, kind));
        PhotoFacts facts = TestPhotos.facts(file);
        assertEquals(new PixelSize(40, 60), facts.asShot());
        try (Source source = PhotoCodecs.STANDARD.open(file, facts)) {
            assertEquals(new PixelSize(60, 40), source.picture().size(), "as stored");
            byte[] kept = Objects.requireNonNull(source.metadata().exif());
            assertArrayEquals(EXIF, Arrays.copyOf(kept, EXIF.length), "what a delivered file takes over");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "\nexif\n", "\nexif\n  8\n45xx", "\nexif\n 4\n00112233\n", "\nexif\n 99999999999\n"})
    void aDamagedOne_isAsIfThereWereNone(String text) throws IOException {
        byte[] content = ("Raw profile type exif\0" + text).getBytes(StandardCharsets.ISO_8859_1);
        for (String type : List.of("tEXt", "zTXt")) {
            assertEquals(
                    new PixelSize(60, 40), TestPhotos.facts(png(type, content)).asShot());
        }
    }
}
