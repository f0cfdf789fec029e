package nexa.imaging.deliver;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.ExifThumbnailDirectory;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import javax.imageio.ImageIO;
import nexa.core.files.DeliveredColour;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.geometry.PixelSize;
import nexa.core.told.Told;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.preview.Preview;
import nexa.imaging.preview.ScreenColours;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.apache.commons.imaging.Imaging;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class EncoderTest {
    private static final byte[] PROFILE =
            ICC_Profile.getInstance(ColorSpace.CS_LINEAR_RGB).getData();
    private static final byte[] XMP =
            "<?xpacket begin='' id='W5M0MpCehiHzreSzNTczkc9d'?><x:xmpmeta xmlns:x='adobe:ns:meta/'/><?xpacket end='w'?>"
                    .getBytes(java.nio.charset.StandardCharsets.UTF_8);

    @TempDir
    Path folder;

    private Source source() throws IOException {
        Path file = TestPhotos.jpeg(folder.resolve("source.jpg"), 300, 200, 6);
        PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
        Source plain = PhotoCodecs.STANDARD.open(file, facts);
        return new Source(plain.picture(), new SourceMetadata(plain.metadata().exif(), PROFILE, XMP));
    }

    private static Metadata read(byte[] bytes) throws Exception {
        return ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes));
    }

    @ParameterizedTest
    @EnumSource
    void encode_keepsWhatTheShotSaysAndRenewsWhatThePictureSays(FileType type) throws Exception {
        try (Source source = source();
                Picture delivered = TestPhotos.scene(120, 90)) {
            Metadata metadata = read(Encoder.encode(delivered, source, new FileSettings(type, 92)));
            ExifIFD0Directory root = metadata.getFirstDirectoryOfType(ExifIFD0Directory.class);
            assertEquals("Aldermoor", root.getString(ExifIFD0Directory.TAG_MAKE));
            assertEquals("(c) 2026 Fennick Kiln", root.getString(ExifIFD0Directory.TAG_COPYRIGHT));
            assertEquals(1, root.getInt(ExifIFD0Directory.TAG_ORIENTATION));
            ExifSubIFDDirectory exif = metadata.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
            assertEquals("2026:09:21 09:12:08", exif.getString(ExifSubIFDDirectory.TAG_DATETIME_ORIGINAL));
            assertEquals(120, exif.getInt(ExifSubIFDDirectory.TAG_EXIF_IMAGE_WIDTH));
            assertEquals(90, exif.getInt(ExifSubIFDDirectory.TAG_EXIF_IMAGE_HEIGHT));
        }
    }

    @ParameterizedTest
    @EnumSource
    void encode_keepsProfileAndXmp(FileType type) throws Exception {
        try (Source source = source();
                Picture delivered = TestPhotos.scene(120, 90)) {
            byte[] bytes = Encoder.encode(delivered, source, new FileSettings(type, 92));
            assertArrayEquals(PROFILE, Imaging.getIccProfileBytes(bytes));
            Path file = TestPhotos.write(folder.resolve("x." + type.extension()), bytes);
            PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
            try (Source again = PhotoCodecs.STANDARD.open(file, facts)) {
                assertEquals(
                        new String(XMP, StandardCharsets.UTF_8),
                        new String(again.metadata().xmp(), StandardCharsets.UTF_8));
            }
        }
    }

    @Test
    void encode_thumbnailShowsTheDeliveredPicture() throws Exception {
        try (Source source = source();
                Picture delivered = TestPhotos.scene(400, 500)) {
            byte[] bytes = Encoder.encode(delivered, source, FileSettings.DEFAULT);
            ExifThumbnailDirectory thumbnail = read(bytes).getFirstDirectoryOfType(ExifThumbnailDirectory.class);
            int exif = new String(bytes, java.nio.charset.StandardCharsets.ISO_8859_1).indexOf("Exif\0\0") + 6;
            int offset = exif + thumbnail.getInt(ExifThumbnailDirectory.TAG_THUMBNAIL_OFFSET);
            byte[] jpeg = Arrays.copyOfRange(
                    bytes, offset, offset + thumbnail.getInt(ExifThumbnailDirectory.TAG_THUMBNAIL_LENGTH));
            try (Picture shown = Decoder.decode(folder, jpeg, Reduction.NONE)) {
                assertEquals(new PixelSize(128, 160), shown.size());
            }
        }
    }

    @ParameterizedTest
    @EnumSource(names = {"PNG", "TIFF"})
    void encode_sixteenBits_loseNothing(FileType type) throws IOException {
        try (Source source = source();
                Picture deep = TestPhotos.deepScene(97, 61)) {
            byte[] bytes = Encoder.encode(deep, source, new FileSettings(type, 92));
            try (Picture back = Decoder.decode(folder, bytes, Reduction.NONE)) {
                assertEquals(16, back.bits());
                assertTrue(TestPhotos.psnr(deep, back) > 300);
            }
        }
    }

    /** In each way of packing, written as often as one likes; wide enough for several strips. */
    @ParameterizedTest
    @ValueSource(strings = {"tiff", "tiff; lzw compression", "tiff; no compression"})
    void file_tiff_losesNothing_andIsTheSameEachTime(String settings) throws IOException {
        try (Source source = source();
                Picture scene = TestPhotos.scene(901, 307)) {
            Encoded file = Encoder.file(scene, source, FileSettings.parse(settings), 0, note -> {});
            byte[] bytes = file.bytes();
            assertArrayEquals(bytes, file.bytes());
            try (Picture back = Decoder.decode(folder, bytes, Reduction.NONE)) {
                assertTrue(TestPhotos.psnr(scene, back) > 300);
            }
        }
    }

    /** The JDK's own TIFF reader agrees with the writer, independently of OpenCV's. */
    @Test
    void encode_tiff_isReadByAnotherReader() throws IOException {
        try (Source source = source();
                Picture delivered = TestPhotos.scene(120, 90)) {
            byte[] bytes = Encoder.encode(delivered, source, new FileSettings(FileType.TIFF, 92));
            SourceMetadata plain = new SourceMetadata(null, null, null);
            byte[] withoutProfile =
                    Encoder.encode(delivered, new Source(source.picture(), plain), new FileSettings(FileType.TIFF, 92));
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(withoutProfile));
            assertEquals(120, image.getWidth());
            assertEquals(delivered.toRaster().argb()[37 * 120 + 50], image.getRGB(50, 37) | 0xFF000000);
            assertNotNull(ImageIO.read(new ByteArrayInputStream(bytes)));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void tiffSources_areReadAsShotWhateverTheirOrientation(int orientation) throws Exception {
        try (Source source = source();
                Picture scene = TestPhotos.scene(60, 40);
                Picture stored =
                        scene.turned(nexa.core.geometry.Turn.ofExif(orientation).inverse())) {
            byte[] bytes = Encoder.encode(stored, source, new FileSettings(FileType.TIFF, 92));
            Path file = TestPhotos.write(folder.resolve("o.tif"), withOrientation(bytes, orientation));
            PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
            assertEquals(new PixelSize(60, 40), facts.asShot());
            try (Source again = PhotoCodecs.STANDARD.open(file, facts)) {
                assertTrue(TestPhotos.psnr(scene, again.picture()) > 300);
            }
        }
    }

    /** Changes the orientation entry of a little-endian or big-endian TIFF in place. */
    private static byte[] withOrientation(byte[] tiff, int orientation) {
        boolean little = tiff[0] == 'I';
        for (int i = 8; i < tiff.length - 12; i++) {
            byte[] entry = little ? new byte[] {0x12, 1, 3, 0, 1, 0, 0, 0} : new byte[] {1, 0x12, 0, 3, 0, 0, 0, 1};
            if (Arrays.equals(tiff, i, i + 8, entry, 0, 8)) {
                tiff[i + (little ? 8 : 9)] = (byte) orientation;
                return tiff;
            }
        }
        throw new AssertionError("no orientation entry");
    }

    @Test
    void profileForOtherChannels_isLeftOut() throws IOException {
        try (Source source = source();
                Picture grey = new Picture(new Mat(3, 4, org.bytedeco.opencv.global.opencv_core.CV_8UC1))) {
            assertTrue(source.profile().isPresent());
            assertEquals(Optional.empty(), new Source(grey, source.metadata()).profile());
        }
    }

    /** A photo in a wide gamut and its sRGB twin are the same photo, on screen and delivered. */
    @ParameterizedTest
    @EnumSource(FileType.class)
    void wideGamutAndItsSrgbTwin_lookTheSame(FileType type) throws IOException {
        FileSettings toSrgb = new FileSettings(type, 98, DeliveredColour.SRGB);
        try (Picture twin = TestPhotos.scene(160, 120);
                Picture wide =
                        ColourTransform.between(Profile.SRGB, Profile.WIDE).apply(twin);
                Source tagged = new Source(wide.shared(), SourceMetadata.NONE.withIcc(Profile.WIDE.bytes()));
                Source plain = new Source(twin.shared(), SourceMetadata.NONE);
                Picture shownWide = decoded(Encoder.encode(wide, tagged, toSrgb));
                Picture shownTwin = decoded(Encoder.encode(twin, plain, toSrgb))) {
            assertTrue(TestPhotos.psnr(wide, twin) < 36, "the numbers differ");
            assertTrue(TestPhotos.psnr(shownWide, shownTwin) > 44, "the colours don't");
            int[] onScreenWide = new Preview(wide, tagged.profile())
                    .raster(ScreenColours.SRGB)
                    .argb();
            int[] onScreenTwin = new Preview(twin, plain.profile())
                    .raster(ScreenColours.SRGB)
                    .argb();
            for (int i = 0; i < onScreenTwin.length; i++) {
                for (int shift = 0; shift <= 16; shift += 8) {
                    int twins = onScreenTwin[i] >> shift & 0xFF; // 8-bit steps of a wide gamut are coarser in the dark
                    assertEquals(twins, onScreenWide[i] >> shift & 0xFF, twins < 40 ? 4 : 2);
                }
            }
        }
    }

    /** Raw data are developed to wider colours than 8 bits are enough for; nobody chose them. */
    @ParameterizedTest
    @EnumSource(FileType.class)
    void developedRaw_isSrgbInEightBits_andStaysWideInSixteen(FileType type) throws IOException {
        FileSettings kept = new FileSettings(type, 98);
        try (Picture scene = TestPhotos.deepScene(80, 60);
                Picture wide =
                        ColourTransform.between(Profile.SRGB, Profile.DEVELOPED).apply(scene);
                Source developed = new Source(wide.shared(), SourceMetadata.NONE.withIcc(Profile.DEVELOPED.bytes()))) {
            Path file = Files.write(folder.resolve("d." + type.extension()), Encoder.encode(wide, developed, kept));
            PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
            assertEquals(type.mostBits() == 8 ? Profile.SRGB.name() : Profile.DEVELOPED.name(), facts.profile());
            try (Source back = PhotoCodecs.STANDARD.open(file, facts);
                    Picture srgb = ColourTransform.between(back.profile().orElseThrow(), Profile.SRGB)
                            .apply(back.picture());
                    Picture eight = srgb.to8Bits();
                    Picture meant = scene.to8Bits()) {
                assertTrue(TestPhotos.psnr(meant, eight) > 38, "the colours are the same");
            }
        }
    }

    @Test
    void conversion_keepsSixteenBitsAndTagsTheFile() throws IOException {
        try (Picture deep = TestPhotos.deepScene(80, 60);
                Source source = new Source(deep.shared(), SourceMetadata.NONE)) {
            byte[] bytes = Encoder.encode(
                    deep, source, new FileSettings(FileType.TIFF, 92, DeliveredColour.of(DeliveredColour.Kind.WIDE)));
            Path file = Files.write(folder.resolve("w.tif"), bytes);
            PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
            assertEquals("Wide RGB (P3 primaries)", facts.profile());
            try (Source back = PhotoCodecs.STANDARD.open(file, facts);
                    Picture srgb = ColourTransform.between(back.profile().orElseThrow(), Profile.SRGB)
                            .apply(back.picture())) {
                assertEquals(16, srgb.bits());
                assertTrue(TestPhotos.psnr(deep, srgb) > 75);
            }
        }
    }

    @Test
    void profileFile_thatIsNone_isSaidInWords() throws IOException {
        Path notes = Files.writeString(folder.resolve("notes.icc"), "not a profile");
        try (Source source = source()) {
            FileSettings asked = FileSettings.DEFAULT.coloured(DeliveredColour.profile(notes.toString()));
            IOException refused =
                    assertThrows(IOException.class, () -> Encoder.encode(source.picture(), source, asked));
            assertTrue(Told.of(refused).code().startsWith("told.colour.not-colour-profile"));
        }
    }

    private Picture decoded(byte[] bytes) throws IOException {
        return Decoder.decode(folder, bytes, Reduction.NONE);
    }

    @Test
    void encode_damagedExif_isReplacedNotFatal() throws Exception {
        byte[] damaged = {'I', 'I', 42, 0, 8, 0, 0, 0, 99, 99, 1, 2, 3};
        try (Source source = source();
                Picture delivered = TestPhotos.scene(120, 90)) {
            Source broken = new Source(source.picture(), new SourceMetadata(damaged, null, null));
            Metadata metadata = read(Encoder.encode(delivered, broken, FileSettings.DEFAULT));
            assertEquals(
                    1,
                    metadata.getFirstDirectoryOfType(ExifIFD0Directory.class)
                            .getInt(ExifIFD0Directory.TAG_ORIENTATION));
        }
    }

    @Test
    void encode_jpegBeyondItsLimit_saysSo() throws IOException {
        try (Source source = source();
                Picture wide = TestPhotos.scene(66_000, 1)) {
            assertThrows(IOException.class, () -> Encoder.encode(wide, source, FileSettings.DEFAULT));
        }
    }
}
