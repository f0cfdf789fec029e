package nexa.imaging.probe;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import nexa.core.files.FileSettings;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.Preview;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Small pictures that cameras put into their files. */
class PreviewsTest {
    @TempDir
    Path folder;

    private static byte[] withThumbnail(Picture photo) throws IOException {
        try (Source source = new Source(photo.shared(), SourceMetadata.NONE)) {
            return Encoder.encode(photo, source, FileSettings.DEFAULT);
        }
    }

    /** A photo with a preview behind it, and an index that says where (CIPA DC-007). */
    private static byte[] withMultiPicture(byte[] photo, byte[] preview) {
        int segment = 4 + 8 + 2 + 12 + 4 + 32;
        int end = photo.length + 4 + segment;
        ByteBuffer index = ByteBuffer.allocate(4 + segment).order(ByteOrder.BIG_ENDIAN);
        index.put((byte) 0xFF).put((byte) 0xE2).putShort((short) (segment + 2));
        index.put("MPF\0".getBytes(StandardCharsets.US_ASCII)).order(ByteOrder.LITTLE_ENDIAN);
        index.put((byte) 'I').put((byte) 'I').putShort((short) 42).putInt(8).putShort((short) 1);
        index.putShort((short) 0xB002).putShort((short) 7).putInt(32).putInt(26).putInt(0);
        index.putInt(0x030000).putInt(end).putInt(0).putInt(0);
        index.putInt(0x010001).putInt(preview.length).putInt(end - 10).putInt(0);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(photo, 0, 2);
        out.writeBytes(index.array());
        out.write(photo, 2, photo.length - 2);
        out.writeBytes(preview);
        return out.toByteArray();
    }

    private static List<PixelSize> sizes(Path file) {
        return Previews.in(file).stream().map(EmbeddedJpeg::size).toList();
    }

    @Test
    void exifThumbnail_isFound() throws IOException {
        try (Picture scene = TestPhotos.scene(600, 400)) {
            Path file = Files.write(folder.resolve("a.jpg"), withThumbnail(scene));
            assertEquals(List.of(new PixelSize(160, 107)), sizes(file));
        }
    }

    @Test
    void multiPicturePreview_isFoundBesideIt_andTheLargerOneIsShown() throws IOException {
        try (Picture scene = TestPhotos.scene(1200, 800);
                Picture half = scene.reducedTo(600)) {
            byte[] bytes = withMultiPicture(withThumbnail(scene), Encoder.plainJpeg(half, 92));
            Path file = Files.write(folder.resolve("m.jpg"), bytes);
            assertEquals(List.of(new PixelSize(160, 107), new PixelSize(600, 400)), sizes(file));
            PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
            assertEquals(new PixelSize(1200, 800), facts.asShot());
            try (Preview look = new PreviewMaker(PhotoCodecs.STANDARD)
                            .embedded(file, facts, 512)
                            .orElseThrow();
                    Picture expected = scene.reducedTo(512)) {
                assertEquals(expected.size(), look.picture().size());
                assertTrue(TestPhotos.psnr(expected, look.picture()) > 32);
            }
        }
    }

    /** Thumbnails are 4:3 with bars above and below whatever the photo's shape, and lie as stored. */
    @Test
    void firstLook_isCutToThePhotoAndUpright() throws IOException {
        try (Picture scene = TestPhotos.scene(600, 400);
                Picture stored = scene.turned(Turn.ofExif(6).inverse())) {
            Path file = TestPhotos.jpeg(folder.resolve("o.jpg"), 600, 400, 6);
            byte[] bytes = withMultiPicture(Files.readAllBytes(file), Encoder.plainJpeg(stored, 92));
            Files.write(file, bytes);
            PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
            try (Preview look = new PreviewMaker(PhotoCodecs.STANDARD)
                    .embedded(file, facts, 300)
                    .orElseThrow()) {
                assertEquals(new PixelSize(300, 200), look.picture().size());
            }
        }
    }

    @Test
    void damagedOrMissing_isNone() throws IOException {
        try (Picture scene = TestPhotos.scene(300, 200)) {
            byte[] whole = withMultiPicture(withThumbnail(scene), Encoder.plainJpeg(scene, 80));
            Random random = new Random(3);
            Path file = folder.resolve("d.jpg");
            for (int i = 0; i < 300; i++) {
                byte[] bytes = Arrays.copyOf(whole, 1 + random.nextInt(whole.length));
                for (int k = 0; k < 8; k++) {
                    bytes[random.nextInt(Math.min(400, bytes.length))] = (byte) random.nextInt();
                }
                Files.write(file, bytes);
                Previews.in(file); // never throws
            }
            assertEquals(List.of(), Previews.in(folder.resolve("none.jpg")));
            assertEquals(List.of(), Previews.in(Files.write(folder.resolve("p.jpg"), Encoder.plainJpeg(scene, 80))));
        }
    }
}
