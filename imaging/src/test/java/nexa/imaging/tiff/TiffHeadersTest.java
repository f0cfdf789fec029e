package nexa.imaging.tiff;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifReader;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.exif.GpsDirectory;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteOrder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Random;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.imaging.TestPhotos;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.GpsTagConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffTagConstants;
import org.apache.commons.imaging.formats.tiff.write.TiffImageWriterLossy;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a TIFF says of the shot is taken out of it, and the pixels stay where they are. */
class TiffHeadersTest {
    @TempDir
    Path folder;

    private static byte[] exif(ByteOrder order) throws IOException {
        TiffOutputSet set = new TiffOutputSet(order);
        set.getOrCreateRootDirectory().add(TiffTagConstants.TIFF_TAG_MAKE, "Aldermoor");
        set.getOrCreateRootDirectory().add(TiffTagConstants.TIFF_TAG_ORIENTATION, (short) 6);
        set.getOrCreateExifDirectory().add(ExifTagConstants.EXIF_TAG_DATE_TIME_ORIGINAL, "2026:09:21 09:12:08");
        set.getOrCreateExifDirectory().add(ExifTagConstants.EXIF_TAG_ISO, (short) 200);
        set.getOrCreateGpsDirectory().add(GpsTagConstants.GPS_TAG_GPS_DATE_STAMP, "2026:09:21");
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        new TiffImageWriterLossy(order).write(out, set);
        return out.toByteArray();
    }

    private static byte[] tiff(ByteOrder order) throws IOException {
        try (Picture scene = TestPhotos.scene(300, 200);
                Source source = new Source(scene.shared(), new SourceMetadata(exif(order), null, null))) {
            return Encoder.encode(scene, source, new FileSettings(FileType.TIFF, 92));
        }
    }

    private TiffHeaders read(byte[] bytes) throws IOException {
        return TiffHeaders.read(Files.write(folder.resolve("a.tif"), bytes));
    }

    @ParameterizedTest
    @ValueSource(strings = {"LITTLE_ENDIAN", "BIG_ENDIAN"})
    void read_saysAllOfTheShot_andNothingOfPixels(String order) throws IOException {
        byte[] whole = tiff(order.startsWith("B") ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN);
        TiffHeaders headers = read(whole);
        assertTrue(headers.exif().length < 2000 && whole.length > 20_000, headers.exif().length + " bytes");
        Metadata said = new Metadata();
        new ExifReader().extract(new ByteArrayReader(headers.exif()), said);
        ExifIFD0Directory first = said.getFirstDirectoryOfType(ExifIFD0Directory.class);
        assertEquals("Aldermoor", first.getString(ExifIFD0Directory.TAG_MAKE));
        assertFalse(first.containsTag(ExifIFD0Directory.TAG_STRIP_OFFSETS));
        ExifSubIFDDirectory shot = said.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
        assertEquals("2026:09:21 09:12:08", shot.getString(ExifSubIFDDirectory.TAG_DATETIME_ORIGINAL));
        assertEquals(200, shot.getInteger(ExifSubIFDDirectory.TAG_ISO_EQUIVALENT));
        assertEquals(
                "2026:09:21", said.getFirstDirectoryOfType(GpsDirectory.class).getString(GpsDirectory.TAG_DATE_STAMP));
    }

    /** What was read is a source like any other. */
    @Test
    void delivered_saysTheSame() throws IOException {
        TiffHeaders headers = read(tiff(ByteOrder.LITTLE_ENDIAN));
        try (Picture scene = TestPhotos.scene(60, 40);
                Source source = new Source(scene.shared(), new SourceMetadata(headers.exif(), null, null))) {
            byte[] again = Encoder.encode(scene, source, new FileSettings(FileType.TIFF, 92), 0, note -> {
                throw new AssertionError(note.toString());
            });
            TiffHeaders delivered = read(again);
            Metadata said = new Metadata();
            new ExifReader().extract(new ByteArrayReader(delivered.exif()), said);
            assertEquals(
                    "2026:09:21",
                    said.getFirstDirectoryOfType(GpsDirectory.class).getString(GpsDirectory.TAG_DATE_STAMP));
        }
    }

    @Test
    void damagedOnes_areReadOrGiveAnIOException_nothingElse() throws IOException {
        byte[] whole = tiff(ByteOrder.BIG_ENDIAN);
        byte[] headers = Arrays.copyOfRange(whole, whole.length - 2000, whole.length);
        Random random = new Random(4);
        int read = 0;
        for (int i = 0; i < 2000; i++) {
            byte[] damaged = whole.clone();
            for (int hit = 0; hit < 3; hit++) {
                damaged[whole.length - headers.length + random.nextInt(headers.length)] = (byte) random.nextInt();
            }
            try {
                TiffStructure structure = TiffStructure.of(new ByteArrayReader(damaged));
                assertTrue(structure.isStandard());
                read += ExifExcerpt.of(structure, structure.firstDirectory()).length > 0 ? 1 : 0;
            } catch (IOException said) { // that is the answer
                assertFalse(said.getMessage().isEmpty());
            }
        }
        assertTrue(read > 100, read + " read");
    }
}
