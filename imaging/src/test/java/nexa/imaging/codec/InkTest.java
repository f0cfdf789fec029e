package nexa.imaging.codec;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.image.BufferedImage;
import java.awt.image.Raster;
import java.awt.image.WritableRaster;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.FutureTask;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageOutputStream;
import nexa.core.files.DeliveredColour;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.geometry.PixelSize;
import nexa.imaging.InkMaker;
import nexa.imaging.TestPhotos;
import nexa.imaging.TiffWriter;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.DecodingRoom;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** JPEGs of ink values, with and without the inversion that Adobe's marker stands for. */
class InkTest {
    @TempDir
    Path folder;

    /** Left half cyan ink, right half yellow and magenta ink. */
    private static byte[] jpeg(boolean inverted) throws IOException {
        WritableRaster ink = Raster.createInterleavedRaster(java.awt.image.DataBuffer.TYPE_BYTE, 64, 48, 4, null);
        for (int y = 0; y < 48; y++) {
            for (int x = 0; x < 64; x++) {
                int[] cmyk = x < 32 ? new int[] {230, 20, 20, 0} : new int[] {10, 200, 220, 0};
                for (int band = 0; band < 4; band++) {
                    ink.setSample(x, y, band, inverted ? 255 - cmyk[band] : cmyk[band]);
                }
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageWriter writer = jdkWriter();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            writer.setOutput(stream);
            writer.write(new IIOImage(ink, null, null));
        }
        return inverted ? withAdobeMarker(out.toByteArray()) : out.toByteArray();
    }

    private static ImageWriter jdkWriter() {
        var writers = ImageIO.getImageWritersByFormatName("jpeg");
        while (writers.hasNext()) {
            ImageWriter writer = writers.next();
            if (writer.getClass().getName().startsWith("com.sun.imageio")) {
                return writer;
            }
        }
        throw new AssertionError("the JDK has a JPEG writer");
    }

    private static byte[] withAdobeMarker(byte[] jpeg) {
        byte[] marker = {(byte) 0xFF, (byte) 0xEE, 0, 14, 'A', 'd', 'o', 'b', 'e', 0, 100, 0, 0, 0, 0, 0};
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.write(jpeg, 0, 2);
        out.writeBytes(marker);
        out.write(jpeg, 2, jpeg.length - 2);
        return out.toByteArray();
    }

    private Picture shown(String name, byte[] jpeg) throws IOException {
        Path file = Files.write(folder.resolve(name), jpeg);
        PhotoFacts facts = assertInstanceOf(Probe.Readable.class, PhotoCodecs.STANDARD.probe(file))
                .facts();
        assertTrue(facts.remarks().contains(Remark.INK), "it is said");
        return new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts, 512);
    }

    @Test
    void inkWithAndWithoutInversion_showsTheSameColours() throws IOException {
        try (Picture plain = shown("plain.jpg", jpeg(false));
                Picture inverted = shown("inverted.jpg", jpeg(true));
                UByteIndexer a = plain.mat().createIndexer();
                UByteIndexer b = inverted.mat().createIndexer()) {
            assertEquals(3, plain.channels());
            for (int x : new int[] {10, 50}) {
                for (int channel = 0; channel < 3; channel++) {
                    assertEquals(a.get(20, x, channel), b.get(20, x, channel), 12);
                }
            }
            assertTrue(a.get(20, 10, 0) > a.get(20, 10, 2) + 60, "cyan ink lets blue through and stops red");
            assertTrue(a.get(20, 50, 2) > a.get(20, 50, 0) + 60, "yellow and magenta ink are red");
        }
    }

    /** What was delivered for a press and comes back as a photo shows the colours that the press makes. */
    /** Several large ones at a time would not have room in Java's heap. */
    @Test
    @Timeout(30)
    void inks_waitUntilThereIsRoomForThem() throws Exception {
        Path file = Files.write(folder.resolve("waits.jpg"), withAdobeMarker(jpeg(true)));
        PhotoFacts facts = assertInstanceOf(Probe.Readable.class, PhotoCodecs.STANDARD.probe(file))
                .facts();
        FutureTask<PixelSize> opening = new FutureTask<>(() -> {
            try (Source source = PhotoCodecs.STANDARD.open(file, facts)) {
                return source.picture().size();
            }
        });
        Thread opener = new Thread(opening);
        try (DecodingRoom.Held _ = InkJpeg.HEAP.take(Long.MAX_VALUE / 4)) {
            opener.start();
            while (opener.getState() != Thread.State.WAITING) {
                assertFalse(opening.isDone());
                Thread.onSpinWait();
            }
        }
        assertEquals(facts.asShot(), opening.get());
    }

    @Test
    void inksWithAProfile_areShownByIt() throws IOException {
        Path press = Files.write(folder.resolve("press.icc"), InkMaker.profile());
        Profile inks = Profile.ofInks(InkMaker.profile()).orElseThrow();
        FileSettings settings = new FileSettings(FileType.JPEG, 95, DeliveredColour.profile(press.toString()));
        try (Picture scene = TestPhotos.deepScene(120, 90);
                Source photo = new Source(scene.shared(), SourceMetadata.NONE)) {
            Path file = Files.write(folder.resolve("inks.jpg"), Encoder.encode(scene, photo, settings));
            PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
            try (InkPicture ink = ColourTransform.between(Profile.SRGB, inks).inks(scene);
                    Picture printed =
                            ColourTransform.between(inks, Profile.SRGB).shown(ink);
                    Picture meant = printed.to8Bits();
                    Source back = PhotoCodecs.STANDARD.open(file, facts)) {
                assertTrue(TestPhotos.psnr(meant, back.picture()) > 36, "it shows what is printed");
                assertTrue(back.profile().isEmpty(), "which is in sRGB now");
            }
        }
    }

    @Test
    void jdkImage_isNotInk() throws IOException {
        Path file = folder.resolve("rgb.jpg");
        ImageIO.write(new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB), "jpg", file.toFile());
        PhotoFacts facts = assertInstanceOf(Probe.Readable.class, PhotoCodecs.STANDARD.probe(file))
                .facts();
        assertEquals(java.util.Set.of(Remark.NO_PROFILE), facts.remarks());
    }

    @Test
    void inksInATiff_packedAsJpeg_areTheSameInks() throws IOException {
        byte[] tiff = TiffWriter.bytes(new TiffWriter.Directory()
                .tag(256, 64)
                .tag(257, 48)
                .tag(258, 8, 8, 8, 8)
                .tag(259, 7)
                .tag(262, 5)
                .tag(277, 4)
                .tag(278, 48)
                .data(273, 279, jpeg(false)));
        try (Picture expected = shown("a.jpg", jpeg(false));
                Picture shown = shown("a.tif", tiff)) {
            assertTrue(TestPhotos.psnr(expected, shown) > 45);
        }
    }
}
