package nexa.imaging.codec;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifInteropDirectory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import nexa.core.files.DeliveredColour;
import nexa.core.files.Description;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.imaging.TestPhotos;
import nexa.imaging.blocks.BlockCut;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.deliver.UntouchedJpeg;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.Preview;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.apache.commons.imaging.formats.jpeg.exif.ExifRewriter;
import org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryConstants;
import org.apache.commons.imaging.formats.tiff.constants.TiffDirectoryType;
import org.apache.commons.imaging.formats.tiff.fieldtypes.AbstractFieldType;
import org.apache.commons.imaging.formats.tiff.taginfos.TagInfo;
import org.apache.commons.imaging.formats.tiff.taginfos.TagInfoShort;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputField;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Colours that a camera says by a code instead of a profile. */
class CodedColoursTest {
    private static final TagInfoShort COLOUR_SPACE =
            new TagInfoShort("ColorSpace", 0xA001, TiffDirectoryType.EXIF_DIRECTORY_EXIF_IFD);
    private static final TagInfo INDEX = new TagInfo("InteroperabilityIndex", 1, AbstractFieldType.ASCII);

    @TempDir
    Path folder;

    /**
     * A photo with a thumbnail, as cameras write it: a code, no profile.
     *
     * @param code of interoperability; without one a colour space that some programs write says the same as R03
     */
    private Path photo(String code, byte[] icc) throws IOException {
        byte[] jpeg;
        try (Picture scene = TestPhotos.scene(300, 200);
                Source bare = new Source(scene.shared(), new SourceMetadata(null, icc, null))) {
            jpeg = Encoder.encode(scene, bare, FileSettings.DEFAULT);
        }
        TiffOutputSet exif = new TiffOutputSet();
        exif.getOrCreateRootDirectory();
        TiffOutputDirectory shot = exif.getOrCreateExifDirectory();
        if (code.isEmpty()) {
            shot.add(COLOUR_SPACE, (short) 2);
        } else {
            exif.addDirectory(index(code));
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        new ExifRewriter().updateExifMetadataLossless(jpeg, out, exif);
        return Files.write(folder.resolve("a.jpg"), out.toByteArray());
    }

    private static TiffOutputDirectory index(String code) {
        TiffOutputDirectory codes = new TiffOutputDirectory(
                TiffDirectoryConstants.DIRECTORY_TYPE_INTEROPERABILITY, ByteOrder.LITTLE_ENDIAN);
        byte[] text = (code + "\0").getBytes(StandardCharsets.US_ASCII);
        codes.add(new TiffOutputField(INDEX, AbstractFieldType.ASCII, text.length, text));
        return codes;
    }

    private static PhotoFacts facts(Path file) {
        return ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
    }

    private static Metadata headers(byte[] bytes) throws Exception {
        return ImageMetadataReader.readMetadata(new ByteArrayInputStream(bytes));
    }

    @ParameterizedTest
    @ValueSource(strings = {"R03", ""})
    void option_isItsProfile_inFactsPixelsAndPreviews(String code) throws IOException {
        Path file = photo(code, null);
        PhotoFacts facts = facts(file);
        assertEquals(Profile.OPTION.name(), facts.profile());
        assertFalse(facts.remarks().contains(Remark.NO_PROFILE));
        try (Source source = PhotoCodecs.STANDARD.open(file, facts);
                Preview preview = new PreviewMaker(PhotoCodecs.STANDARD).make(file, facts, 100)) {
            assertEquals(Optional.of(Profile.OPTION), source.profile());
            assertEquals(Optional.of(Profile.OPTION), preview.profile());
        }
        assertArrayEquals(
                Profile.OPTION.bytes(),
                PhotoCodecs.STANDARD.of(file, facts).metadata(file, facts).icc());
    }

    @Test
    void basicCode_isNoProfile() throws IOException {
        Path file = photo("R98", null);
        assertNull(facts(file).profile());
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file))) {
            assertEquals(Optional.empty(), source.profile());
        }
    }

    @Test
    void profileOfTheFile_countsMoreThanTheCode() throws IOException {
        Path file = photo("R03", Profile.WIDE.bytes());
        assertEquals(Profile.WIDE.name(), facts(file).profile());
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file))) {
            assertEquals(Optional.of(Profile.WIDE), source.profile());
        }
    }

    /** A delivered file says by its profile what its colours are, and no code says otherwise. */
    @Test
    void delivered_hasTheProfile_orIsConverted_withoutTheCode() throws Exception {
        Path file = photo("R03", null);
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file))) {
            byte[] kept = Encoder.encode(source.picture(), source, new FileSettings(FileType.JPEG, 95));
            byte[] converted =
                    Encoder.encode(source.picture(), source, new FileSettings(FileType.JPEG, 95, DeliveredColour.SRGB));
            assertEquals(
                    Profile.OPTION.name(),
                    facts(Files.write(folder.resolve("kept.jpg"), kept)).profile());
            assertEquals(
                    1,
                    headers(converted)
                            .getFirstDirectoryOfType(ExifSubIFDDirectory.class)
                            .getInteger(ExifSubIFDDirectory.TAG_COLOR_SPACE));
            for (byte[] bytes : new byte[][] {kept, converted}) {
                ExifInteropDirectory codes = headers(bytes).getFirstDirectoryOfType(ExifInteropDirectory.class);
                assertTrue(codes == null || !codes.containsTag(1));
            }
        }
    }

    /** Cut without touching its pixels, it loses the code and gets the profile, once. */
    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void untouched_hasTheProfile(boolean isOwn) throws Exception {
        Path file = photo("R03", isOwn ? Profile.OPTION.bytes() : null);
        PhotoFacts facts = facts(file);
        byte[] cut = UntouchedJpeg.of(
                Files.readAllBytes(file),
                new BlockCut.Part(0, 0, 160, 96),
                PhotoCodecs.STANDARD.of(file, facts).metadata(file, facts),
                Description.DEFAULT,
                1,
                0,
                note -> {});
        Path delivered = Files.write(folder.resolve("cut.jpg"), cut);
        assertEquals(Profile.OPTION.name(), facts(delivered).profile());
        assertArrayEquals(Profile.OPTION.bytes(), JpegBlocks.of(cut).icc());
        String text = new String(cut, StandardCharsets.ISO_8859_1);
        assertEquals(text.indexOf("ICC_PROFILE"), text.lastIndexOf("ICC_PROFILE"));
        assertFalse(text.contains("R03"));
    }
}
