package nexa.imaging.deliver;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifThumbnailDirectory;
import com.drew.metadata.icc.IccDirectory;
import java.awt.image.Raster;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Set;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import nexa.core.files.Conversion;
import nexa.core.files.DeliveredColour;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.files.Packing;
import nexa.core.geometry.PixelSize;
import nexa.imaging.InkMaker;
import nexa.imaging.TestPhotos;
import nexa.imaging.Tools;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.ToldException;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import org.bytedeco.javacpp.BytePointer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.EnumSource.Mode;

/** Files of ink values, read by other libraries. */
class InkFileTest {
    private static final Conversion RELATIVE = new Conversion(Conversion.Intent.RELATIVE, true);
    private static final int WIDTH = 120;
    private static final int HEIGHT = 90;

    @TempDir
    Path folder;

    private Path press;

    @BeforeEach
    void makePress() throws IOException {
        press = Files.write(folder.resolve("press.icc"), InkMaker.profile());
    }

    private FileSettings settings(FileType type) {
        return new FileSettings(
                type, 95, DeliveredColour.profile(press.toString()).converted(RELATIVE));
    }

    private Source source() throws IOException {
        Path file = TestPhotos.jpeg(folder.resolve("source.jpg"), 300, 200, 6);
        PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
        return PhotoCodecs.STANDARD.open(file, facts);
    }

    private byte[] delivered(Picture picture, FileSettings settings) throws IOException {
        try (Source source = source()) {
            return Encoder.encode(picture, source, settings);
        }
    }

    /** As the engine makes them, one after the other. */
    private static byte[] meant(Picture picture) {
        Profile inks = Profile.of(InkMaker.profile()).orElseThrow();
        try (InkPicture ink =
                        ColourTransform.between(Profile.SRGB, inks, RELATIVE).inks(picture);
                BytePointer data = ink.mat().data()) {
            byte[] values = new byte[WIDTH * HEIGHT * 4];
            data.get(values);
            return values;
        }
    }

    private static Raster raster(byte[] file, String format) throws IOException {
        ImageReader reader = ImageIO.getImageReadersByFormatName(format).next();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            reader.setInput(in);
            return reader.canReadRaster()
                    ? reader.readRaster(0, null)
                    : reader.read(0).getRaster();
        } finally {
            reader.dispose();
        }
    }

    private static byte[] values(Raster raster) {
        int[] samples = raster.getPixels(0, 0, WIDTH, HEIGHT, (int[]) null);
        byte[] values = new byte[samples.length];
        for (int i = 0; i < values.length; i++) {
            values[i] = (byte) samples[i];
        }
        return values;
    }

    @ParameterizedTest
    @EnumSource(Packing.Compression.class)
    void tiff_holdsTheInks(Packing.Compression compression) throws Exception {
        try (Picture picture = TestPhotos.scene(WIDTH, HEIGHT)) {
            FileSettings how = settings(FileType.TIFF);
            byte[] file = delivered(picture, how.packed(how.packing().with(compression)));
            assertArrayEquals(meant(picture), values(raster(file, "tiff")));
            ExifIFD0Directory root = ImageMetadataReader.readMetadata(new ByteArrayInputStream(file))
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            assertEquals(5, root.getInt(ExifIFD0Directory.TAG_PHOTOMETRIC_INTERPRETATION));
        }
    }

    @Test
    void deepTiff_holdsThemFiner() throws Exception {
        try (Picture picture = TestPhotos.deepScene(WIDTH, HEIGHT);
                Picture eight = picture.to8Bits()) {
            Raster deep = raster(delivered(picture, settings(FileType.TIFF)), "tiff");
            byte[] coarse = meant(eight);
            int[] fine = deep.getPixels(0, 0, WIDTH, HEIGHT, (int[]) null);
            for (int i = 0; i < fine.length; i++) {
                assertEquals(coarse[i] & 0xFF, fine[i] / 257.0, 6, "a whole level of light moves an ink by so much");
            }
            assertTrue(Arrays.stream(fine).anyMatch(value -> value % 257 != 0));
        }
    }

    @Test
    void jpeg_holdsThemInverted_asItsMarkerSays() throws Exception {
        try (Picture picture = TestPhotos.scene(WIDTH, HEIGHT)) {
            byte[] file = delivered(picture, settings(FileType.JPEG));
            byte[] stored = values(raster(file, "jpeg"));
            byte[] meant = meant(picture);
            double sum = 0;
            for (int i = 0; i < meant.length; i++) {
                sum += Math.abs(255 - (stored[i] & 0xFF) - (meant[i] & 0xFF));
            }
            assertTrue(sum / meant.length < 3, "inks differ by " + sum / meant.length);
            Metadata said = ImageMetadataReader.readMetadata(new ByteArrayInputStream(file));
            assertEquals(
                    "Aldermoor",
                    said.getFirstDirectoryOfType(ExifIFD0Directory.class).getString(ExifIFD0Directory.TAG_MAKE));
            assertEquals(
                    "CMYK",
                    said.getFirstDirectoryOfType(IccDirectory.class)
                            .getString(IccDirectory.TAG_COLOR_SPACE)
                            .strip());
            assertTrue(said.containsDirectoryOfType(ExifThumbnailDirectory.class));
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = FileType.class,
            names = {"TIFF", "JPEG"})
    void deliveredFile_isAReadablePhotoOfInks(FileType type) throws Exception {
        try (Picture picture = TestPhotos.scene(WIDTH, HEIGHT)) {
            Path file = folder.resolve("delivered." + type.extension());
            Files.write(file, delivered(picture, settings(type)));
            PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
            assertEquals(new PixelSize(WIDTH, HEIGHT), facts.asShot());
            assertEquals("Fennick Press, matt", facts.profile());
            assertTrue(facts.remarks().containsAll(Set.of(Remark.INK)), facts.remarks()::toString);
        }
    }

    /** By the colour engine of others, from their own reading of the file and its profile. */
    @ParameterizedTest
    @EnumSource(
            value = FileType.class,
            names = {"TIFF", "JPEG"})
    void anotherProgram_seesTheSameColours(FileType type) throws Exception {
        Tools.need("convert");
        Path srgb = Files.write(folder.resolve("srgb.icc"), Profile.SRGB.bytes());
        Path file = folder.resolve("delivered." + type.extension());
        Path seen = folder.resolve("seen.png");
        try (Picture picture = TestPhotos.scene(WIDTH, HEIGHT);
                Picture soft = picture.reducedTo(WIDTH / 2)) {
            Files.write(file, delivered(soft, settings(type)));
            Tools.run("convert", file, "-intent", "Relative", "-black-point-compensation", "-profile", srgb, seen);
            PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(seen)).facts();
            try (Source other = PhotoCodecs.STANDARD.open(seen, facts)) {
                double alike = TestPhotos.psnr(soft, other.picture());
                assertTrue(alike > 24, "colours of the press beside those of the screen: " + alike + " dB");
            }
        }
    }

    @Test
    void jpeg_isMadeAsSmallAsAsked() throws Exception {
        try (Picture picture = TestPhotos.scene(WIDTH, HEIGHT)) {
            FileSettings how = settings(FileType.JPEG);
            int whole = delivered(picture, how).length;
            int profile = InkMaker.profile().length;
            int most = (profile + (whole - profile) * 2 / 3) / 1000;
            byte[] small = delivered(picture, how.packed(how.packing().atMost(most)));
            assertTrue(small.length <= most * 1000 && small.length < whole);
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = FileType.class,
            names = {"TIFF", "JPEG"},
            mode = Mode.EXCLUDE)
    void otherTypes_holdNoInks_andItIsSaid(FileType type) throws Exception {
        try (Picture picture = TestPhotos.scene(WIDTH, HEIGHT)) {
            ToldException refused = assertThrows(ToldException.class, () -> delivered(picture, settings(type)));
            assertEquals("told.deliver.no-inks", refused.told().code());
        }
    }

    @Test
    void profileThatLeadsOnlyFromInks_isRefused() throws Exception {
        Files.write(press, InkMaker.profile(false));
        try (Picture picture = TestPhotos.scene(WIDTH, HEIGHT)) {
            ToldException refused =
                    assertThrows(ToldException.class, () -> delivered(picture, settings(FileType.TIFF)));
            assertEquals(
                    "told.deliver.colours-cannot-turned-into-those",
                    refused.told().code());
        }
    }

    @Test
    void greyPhoto_becomesInks() throws Exception {
        try (Picture picture = TestPhotos.scene(WIDTH, HEIGHT);
                Picture grey = picture.grey();
                Picture coloured = grey.coloured()) {
            assertArrayEquals(meant(coloured), values(raster(delivered(grey, settings(FileType.TIFF)), "tiff")));
        }
    }
}
