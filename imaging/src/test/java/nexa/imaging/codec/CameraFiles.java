package nexa.imaging.codec;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Random;
import nexa.core.files.FileSettings;
import nexa.core.geometry.PixelSize;
import nexa.imaging.TestPhotos;
import nexa.imaging.TiffWriter;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;

/** Raw files as cameras lay them out, with noise for the sensor's data. */
final class CameraFiles {
    static final PixelSize LARGE = new PixelSize(1200, 800);
    static final PixelSize MIDDLE = new PixelSize(600, 400);
    static final PixelSize SMALL = new PixelSize(160, 107);
    static final int SUBJECT_AREA = 0x9214;
    static final int LATITUDE = 2;
    private static final long[] AREA = {10, 20, 30, 40};
    private static final long[] PLACE = {48, 8, 15};
    private static final String CANON_HEADERS = "85c0b687820f11e08111f4ce462b6a48";
    private static final String CANON_PREVIEW = "eaf42b5e1c984b88b9fbb7dc406e4d16";

    /** With a thumbnail inside. */
    final byte[] large;

    /** The same without EXIF. */
    final byte[] plain;

    private final byte[] middle;
    private final byte[] small;

    /** Nobody names it, so that only a search would find it. */
    private final byte[] decoy;

    private CameraFiles(byte[] large, byte[] plain, byte[] middle, byte[] small, byte[] decoy) {
        this.large = large;
        this.plain = plain;
        this.middle = middle;
        this.small = small;
        this.decoy = decoy;
    }

    static CameraFiles make() throws IOException {
        try (Picture huge = TestPhotos.scene(1800, 1200);
                Picture whole = huge.reducedTo(LARGE.longEdge());
                Picture half = huge.reducedTo(MIDDLE.longEdge());
                Picture little = huge.reducedTo(SMALL.longEdge());
                Source source = new Source(whole.shared(), SourceMetadata.NONE)) {
            return new CameraFiles(
                    Encoder.encode(whole, source, FileSettings.DEFAULT),
                    Encoder.plainJpeg(whole, 90),
                    Encoder.plainJpeg(half, 90),
                    Encoder.plainJpeg(little, 90),
                    Encoder.plainJpeg(huge, 90));
        }
    }

    private static byte[] box(String type, byte[]... content) {
        byte[] all = joined(content);
        return joined(number(8 + all.length), type.getBytes(StandardCharsets.US_ASCII), all);
    }

    private static byte[] joined(byte[]... parts) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Arrays.stream(parts).forEach(out::writeBytes);
        return out.toByteArray();
    }

    private static byte[] number(int value) {
        return ByteBuffer.allocate(Integer.BYTES).putInt(value).array();
    }

    private static byte[] uuid(String kind, byte[]... content) {
        return box("uuid", HexFormat.of().parseHex(kind), joined(content));
    }

    private static byte[] track(int place, int length) {
        byte[] table = joined(
                box("stsz", new byte[8], number(1), number(length)),
                box("co64", new byte[4], number(1), new byte[4], number(place)));
        return box("trak", box("tkhd", new byte[84]), box("mdia", box("minf", box("stbl", table))));
    }

    /** Its headers say that it lies on its side. */
    byte[] cr3(byte[] picture) {
        byte[] sensor = noise(5000);
        byte[] headers = joined(
                box("CMT1", tiff(new TiffWriter.Directory().text(271, "Canon").tag(274, 6))),
                box(
                        "CMT2",
                        tiff(new TiffWriter.Directory()
                                .tag(0x8827, 400)
                                .text(0x9003, "2026:09:21 09:12:08")
                                .tag(SUBJECT_AREA, AREA)
                                .tag(0xA002, 6000)
                                .tag(0xA003, 4000))),
                box("CMT3", tiff(new TiffWriter.Directory().tag(0xB4, 2).tag(0xE0, AREA))),
                box("CMT4", tiff(new TiffWriter.Directory().tag(LATITUDE, PLACE))));
        byte[] type = box(
                "ftyp",
                "crx ".getBytes(StandardCharsets.US_ASCII),
                number(1),
                "crx isom".getBytes(StandardCharsets.US_ASCII));
        byte[] preview = uuid(CANON_PREVIEW, new byte[8], box("PRVW", new byte[16], middle));
        int start = type.length + movie(headers, 0, 0, 0).length + preview.length + 8;
        return joined(
                type,
                movie(headers, start, sensor.length, picture.length),
                preview,
                box("mdat", sensor, picture, decoy));
    }

    private static byte[] tiff(TiffWriter.Directory directory) {
        return TiffWriter.bytes(directory);
    }

    private byte[] movie(byte[] headers, int start, int sensor, int picture) {
        byte[] own = uuid(CANON_HEADERS, headers, box("THMB", new byte[16], small));
        return box("moov", own, track(start, sensor), track(start + sensor, picture));
    }

    byte[] raf(byte[] picture) {
        ByteBuffer head = ByteBuffer.allocate(148);
        head.put("FUJIFILMCCD-RAW 0201FF000000MADE UP".getBytes(StandardCharsets.US_ASCII));
        head.putInt(84, 148).putInt(88, picture.length);
        return joined(head.array(), picture, noise(5000), decoy);
    }

    byte[] rw2(byte[] picture) {
        ByteBuffer head = ByteBuffer.allocate(64).order(ByteOrder.LITTLE_ENDIAN);
        head.put((byte) 'I').put((byte) 'I').putShort((short) 0x55).putInt(24).position(24);
        head.putShort((short) 2);
        head.putShort((short) 0x112).putShort((short) 3).putInt(1).putInt(8);
        head.putShort((short) 0x2E).putShort((short) 7).putInt(picture.length).putInt(64);
        return joined(head.array(), picture, noise(5000), decoy);
    }

    private static byte[] noise(int length) {
        byte[] bytes = new byte[length];
        new Random(length).nextBytes(bytes);
        return bytes;
    }
}
