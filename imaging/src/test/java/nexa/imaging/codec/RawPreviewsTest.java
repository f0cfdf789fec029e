package nexa.imaging.codec;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifReader;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.GpsDirectory;
import com.drew.metadata.exif.makernotes.CanonMakernoteDirectory;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import nexa.core.files.FileSettings;
import nexa.core.geometry.PixelSize;
import nexa.imaging.TestPhotos;
import nexa.imaging.TiffWriter;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduced;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.Preview;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.probe.EmbeddedJpeg;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.probe.RawFile;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Raw files that say in ways of their own where the camera's pictures are. */
class RawPreviewsTest {
    private static final PixelSize LARGE = new PixelSize(1200, 800);
    private static final PixelSize MIDDLE = new PixelSize(600, 400);
    private static final PixelSize SMALL = new PixelSize(160, 107);
    private static final int SUBJECT_AREA = 0x9214;
    private static final long[] AREA = {10, 20, 30, 40};
    private static final int LATITUDE = 2;
    private static final long[] PLACE = {48, 8, 15};
    private static final String CANON_HEADERS = "85c0b687820f11e08111f4ce462b6a48";
    private static final String CANON_PREVIEW = "eaf42b5e1c984b88b9fbb7dc406e4d16";

    private static byte[] large;
    /** The same without EXIF. */
    private static byte[] plain;

    private static byte[] middle;
    private static byte[] small;

    /** Nobody names it, so that only a search would find it. */
    private static byte[] decoy;

    private enum Kind {
        CR3 {
            @Override
            byte[] bytes() {
                return cr3(plain);
            }
        },
        RAF {
            @Override
            byte[] bytes() {
                return raf(large);
            }
        },
        RW2 {
            @Override
            byte[] bytes() {
                return rw2(large);
            }
        };

        abstract byte[] bytes();
    }

    @TempDir
    Path folder;

    @BeforeAll
    static void makePictures() throws IOException {
        try (Picture huge = TestPhotos.scene(1800, 1200);
                Picture whole = huge.reducedTo(LARGE.longEdge());
                Picture half = huge.reducedTo(MIDDLE.longEdge());
                Picture little = huge.reducedTo(SMALL.longEdge());
                Source source = new Source(whole.shared(), SourceMetadata.NONE)) {
            large = Encoder.encode(whole, source, FileSettings.DEFAULT); // with a thumbnail inside
            plain = Encoder.plainJpeg(whole, 90);
            middle = Encoder.plainJpeg(half, 90);
            small = Encoder.plainJpeg(little, 90);
            decoy = Encoder.plainJpeg(huge, 90);
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
    private static byte[] cr3(byte[] picture) {
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

    private static byte[] movie(byte[] headers, int start, int sensor, int picture) {
        byte[] own = uuid(CANON_HEADERS, headers, box("THMB", new byte[16], small));
        return box("moov", own, track(start, sensor), track(start + sensor, picture));
    }

    private static byte[] raf(byte[] picture) {
        ByteBuffer head = ByteBuffer.allocate(148);
        head.put("FUJIFILMCCD-RAW 0201FF000000MADE UP".getBytes(StandardCharsets.US_ASCII));
        head.putInt(84, 148).putInt(88, picture.length);
        return joined(head.array(), picture, noise(5000), decoy);
    }

    private static byte[] rw2(byte[] picture) {
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

    private Path write(byte[] bytes) throws IOException {
        return Files.write(folder.resolve("a.raw"), bytes);
    }

    private static List<PixelSize> sizes(Path path) throws IOException {
        try (PhotoFile file = PhotoFile.open(path)) {
            return RawFile.previews(file).stream().map(EmbeddedJpeg::size).toList();
        }
    }

    private static PhotoFacts facts(Path file) {
        return assertInstanceOf(Probe.Readable.class, PhotoCodecs.STANDARD.probe(file))
                .facts();
    }

    @Test
    void cr3_hasPicturesInItsBoxes_andLiesAsItsHeadersSay() throws IOException {
        Path file = write(cr3(plain));
        assertEquals(List.of(SMALL, MIDDLE, LARGE), sizes(file));
        assertEquals(FileKind.RAW, facts(file).kind());
        assertEquals(new PixelSize(800, 1200), facts(file).asShot());
        assertEquals(LocalDateTime.of(2026, 9, 21, 9, 12, 8), facts(file).taken());
        assertEquals("Canon", facts(file).camera().maker());
    }

    /** Set in the camera, and said in its maker's notes only. */
    @Test
    void cr3_ofWiderColours_hasTheirProfile() throws IOException {
        Path file = write(cr3(plain));
        assertEquals(Profile.OPTION.name(), facts(file).profile());
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file));
                Preview look = new PreviewMaker(PhotoCodecs.STANDARD)
                        .embedded(file, facts(file), 300)
                        .orElseThrow()) {
            assertEquals(Optional.of(Profile.OPTION), source.profile());
            assertEquals(Optional.of(Profile.OPTION), look.profile());
        }
    }

    /** Four structures, each with places that count from its own beginning. */
    @Test
    void cr3_tellsAllThatItsHeadersSay() throws IOException, UnreadablePhotoException {
        Path file = write(cr3(plain));
        byte[] exif = PhotoCodecs.STANDARD
                .of(file, facts(file))
                .metadata(file, facts(file))
                .exif();
        Metadata said = new Metadata();
        new ExifReader().extract(new ByteArrayReader(exif), said);
        ExifSubIFDDirectory shot = said.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
        assertEquals(400, shot.getInteger(ExifDirectoryBase.TAG_ISO_EQUIVALENT));
        assertEquals("10 20 30 40", shot.getString(SUBJECT_AREA));
        assertEquals(
                "10 20 30 40",
                said.getFirstDirectoryOfType(CanonMakernoteDirectory.class).getString(0xE0));
        assertEquals("48 8 15", said.getFirstDirectoryOfType(GpsDirectory.class).getString(LATITUDE));
    }

    @Test
    void cameraPicture_toBeMadeSmaller_isDecodedSmaller_andStillTellsAll() throws IOException {
        Path file = write(cr3(plain));
        PhotoFacts facts = facts(file);
        try (OpenedPhoto photo = PhotoCodecs.STANDARD.opened(file, facts, new Reduced(3, Reduction.HALF));
                Source whole = PhotoCodecs.STANDARD.open(file, facts)) {
            assertEquals(
                    Reduction.HALF.of(whole.picture().size()),
                    photo.source().picture().size());
            assertArrayEquals(whole.metadata().exif(), photo.source().metadata().exif());
        }
    }

    @Test
    void raf_hasPictureWithItsThumbnail() throws IOException {
        assertEquals(List.of(SMALL, LARGE), sizes(write(raf(large))));
    }

    @Test
    void pictureMuchSmallerThanThePhoto_isSaidToBe() throws IOException {
        assertTrue(facts(write(cr3(plain))).remarks().contains(Remark.SMALL_PREVIEW));
        assertTrue(facts(write(raf(large))).remarks().contains(Remark.CAMERA_PREVIEW));
    }

    @Test
    void rw2_hasPictureInItsFirstDirectory_andLiesAsThatSays() throws IOException {
        Path file = write(rw2(plain));
        assertEquals(List.of(LARGE), sizes(file));
        assertEquals(new PixelSize(800, 1200), facts(file).asShot());
    }

    /** A small one shows at once, before the one that is shown as the photo is decoded. */
    @Test
    void firstLook_isASmallerPicture() throws IOException {
        Path file = write(cr3(plain));
        try (Preview look = new PreviewMaker(PhotoCodecs.STANDARD)
                .embedded(file, facts(file), 300)
                .orElseThrow()) {
            assertEquals(new PixelSize(200, 300), look.picture().size());
        }
        assertEquals(
                List.of(SMALL, MIDDLE),
                PhotoCodecs.STANDARD.of(file, facts(file)).embedded(file).stream()
                        .map(EmbeddedJpeg::size)
                        .toList());
    }

    /** What is named and is no picture is not all there may be. */
    @ParameterizedTest
    @EnumSource
    void placeWithoutPicture_isFoundByLooking(Kind kind) throws IOException {
        byte[] bytes = kind.bytes();
        byte[] beginning = Arrays.copyOf(kind == Kind.CR3 ? plain : large, 1000);
        int at = new String(bytes, StandardCharsets.ISO_8859_1)
                .lastIndexOf(new String(beginning, StandardCharsets.ISO_8859_1));
        bytes[at] = 0;
        assertEquals(new PixelSize(1800, 1200), sizes(write(bytes)).getLast());
    }

    /** The first directory of what is said of the shot is far beyond its structure; the pictures are there. */
    @Test
    void cr3_whoseHeadersAreDamaged_showsItsPictures() throws IOException {
        byte[] bytes = cr3(plain);
        int structure = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("CMT2") + 4;
        bytes[structure + 7] = 0x7F;
        Path file = write(bytes);
        assertEquals(List.of(SMALL, MIDDLE, LARGE), sizes(file));
        assertEquals(LARGE, facts(file).asShot());
    }

    /** Boxes that end nowhere say nothing, but the JPEGs are found. */
    @Test
    void cr3_whoseBoxesAreDamaged_isSearched() throws IOException {
        byte[] bytes = cr3(plain);
        int movie = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("moov") - 4;
        ByteBuffer.wrap(bytes).putInt(movie, 3); // shorter than a box
        assertEquals(new PixelSize(1800, 1200), facts(write(bytes)).asShot());
    }

    @ParameterizedTest
    @EnumSource
    void damagedOnes_neverThrow(Kind kind) throws IOException {
        byte[] whole = kind.bytes();
        Random random = new Random(5);
        int read = 0;
        for (int i = 0; i < 200; i++) {
            byte[] bytes = Arrays.copyOf(whole, 200 + random.nextInt(whole.length - 200));
            for (int k = 0; k < 6; k++) {
                bytes[16 + random.nextInt(1500)] = (byte) random.nextInt();
            }
            Path file = write(bytes);
            if (PhotoCodecs.STANDARD.probe(file) instanceof Probe.Readable(var facts)) {
                PhotoCodecs.STANDARD.of(file, facts).embedded(file);
                read++;
            }
        }
        assertTrue(read > 20, read + " read");
    }
}
