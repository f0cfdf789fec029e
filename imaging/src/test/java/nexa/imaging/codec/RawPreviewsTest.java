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
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import nexa.core.geometry.PixelSize;
import nexa.imaging.colour.Profile;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.Reduced;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.Preview;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.probe.EmbeddedJpeg;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.probe.RawFile;
import nexa.imaging.source.Source;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Raw files that say in ways of their own where the camera's pictures are. */
class RawPreviewsTest {

    private static CameraFiles camera;

    private enum Kind {
        CR3 {
            @Override
            byte[] bytes() {
                return camera.cr3(camera.plain);
            }
        },
        RAF {
            @Override
            byte[] bytes() {
                return camera.raf(camera.large);
            }
        },
        RW2 {
            @Override
            byte[] bytes() {
                return camera.rw2(camera.large);
            }
        };

        abstract byte[] bytes();
    }

    @TempDir
    Path folder;

    @BeforeAll
    static void makePictures() throws IOException {
        camera = CameraFiles.make();
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
        Path file = write(camera.cr3(camera.plain));
        assertEquals(List.of(CameraFiles.SMALL, CameraFiles.MIDDLE, CameraFiles.LARGE), sizes(file));
        assertEquals(FileKind.RAW, facts(file).kind());
        assertEquals(new PixelSize(800, 1200), facts(file).asShot());
        assertEquals(LocalDateTime.of(2026, 9, 21, 9, 12, 8), facts(file).taken());
        assertEquals("Canon", facts(file).camera().maker());
    }

    /** Set in the camera, and said in its maker's notes only. */
    @Test
    void cr3_ofWiderColours_hasTheirProfile() throws IOException {
        Path file = write(camera.cr3(camera.plain));
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
        Path file = write(camera.cr3(camera.plain));
        byte[] exif = PhotoCodecs.STANDARD
                .of(file, facts(file))
                .metadata(file, facts(file))
                .exif();
        Metadata said = new Metadata();
        new ExifReader().extract(new ByteArrayReader(exif), said);
        ExifSubIFDDirectory shot = said.getFirstDirectoryOfType(ExifSubIFDDirectory.class);
        assertEquals(400, shot.getInteger(ExifDirectoryBase.TAG_ISO_EQUIVALENT));
        assertEquals("10 20 30 40", shot.getString(CameraFiles.SUBJECT_AREA));
        assertEquals(
                "10 20 30 40",
                said.getFirstDirectoryOfType(CanonMakernoteDirectory.class).getString(0xE0));
        assertEquals("48 8 15", said.getFirstDirectoryOfType(GpsDirectory.class).getString(CameraFiles.LATITUDE));
    }

    @Test
    void cameraPicture_toBeMadeSmaller_isDecodedSmaller_andStillTellsAll() throws IOException {
        Path file = write(camera.cr3(camera.plain));
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
        assertEquals(List.of(CameraFiles.SMALL, CameraFiles.LARGE), sizes(write(camera.raf(camera.large))));
    }

    @Test
    void pictureMuchSmallerThanThePhoto_isSaidToBe() throws IOException {
        assertTrue(facts(write(camera.cr3(camera.plain))).remarks().contains(Remark.SMALL_PREVIEW));
        assertTrue(facts(write(camera.raf(camera.large))).remarks().contains(Remark.CAMERA_PREVIEW));
    }

    @Test
    void rw2_hasPictureInItsFirstDirectory_andLiesAsThatSays() throws IOException {
        Path file = write(camera.rw2(camera.plain));
        assertEquals(List.of(CameraFiles.LARGE), sizes(file));
        assertEquals(new PixelSize(800, 1200), facts(file).asShot());
    }

    /** A small one shows at once, before the one that is shown as the photo is decoded. */
    @Test
    void firstLook_isASmallerPicture() throws IOException {
        Path file = write(camera.cr3(camera.plain));
        try (Preview look = new PreviewMaker(PhotoCodecs.STANDARD)
                .embedded(file, facts(file), 300)
                .orElseThrow()) {
            assertEquals(new PixelSize(200, 300), look.picture().size());
        }
        assertEquals(
                List.of(CameraFiles.SMALL, CameraFiles.MIDDLE),
                PhotoCodecs.STANDARD.of(file, facts(file)).embedded(file).stream()
                        .map(EmbeddedJpeg::size)
                        .toList());
    }

    /** What is named and is no picture is not all there may be. */
    @ParameterizedTest
    @EnumSource
    void placeWithoutPicture_isFoundByLooking(Kind kind) throws IOException {
        byte[] bytes = kind.bytes();
        byte[] beginning = Arrays.copyOf(kind == Kind.CR3 ? camera.plain : camera.large, 1000);
        int at = new String(bytes, StandardCharsets.ISO_8859_1)
                .lastIndexOf(new String(beginning, StandardCharsets.ISO_8859_1));
        bytes[at] = 0;
        assertEquals(new PixelSize(1800, 1200), sizes(write(bytes)).getLast());
    }

    /** The first directory of what is said of the shot is far beyond its structure; the pictures are there. */
    @Test
    void cr3_whoseHeadersAreDamaged_showsItsPictures() throws IOException {
        byte[] bytes = camera.cr3(camera.plain);
        int structure = new String(bytes, StandardCharsets.ISO_8859_1).indexOf("CMT2") + 4;
        bytes[structure + 7] = 0x7F;
        Path file = write(bytes);
        assertEquals(List.of(CameraFiles.SMALL, CameraFiles.MIDDLE, CameraFiles.LARGE), sizes(file));
        assertEquals(CameraFiles.LARGE, facts(file).asShot());
    }

    /** Boxes that end nowhere say nothing, but the JPEGs are found. */
    @Test
    void cr3_whoseBoxesAreDamaged_isSearched() throws IOException {
        byte[] bytes = camera.cr3(camera.plain);
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
