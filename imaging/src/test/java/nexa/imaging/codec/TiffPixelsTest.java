package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.core.files.DeliveredColour;
import nexa.core.files.FileSettings;
import nexa.core.files.FileType;
import nexa.core.files.Packing;
import nexa.imaging.InkMaker;
import nexa.imaging.TestPhotos;
import nexa.imaging.TiffWriter;
import nexa.imaging.TiffWriter.Directory;
import nexa.imaging.colour.ColourTransform;
import nexa.imaging.colour.Profile;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.InkPicture;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class TiffPixelsTest {
    @TempDir
    Path folder;

    private static Picture transparent() {
        Mat mat = new Mat(8, 16, CV_8UC4);
        try (UByteIndexer pixels = mat.createIndexer()) {
            for (long y = 0; y < 8; y++) {
                for (long x = 0; x < 16; x++) {
                    pixels.put(y, x, 200, (int) (10 * x), 255, (int) (16 * x));
                }
            }
        }
        return new Picture(mat);
    }

    @ParameterizedTest
    @ValueSource(strings = {"tiff", "tiff; lzw compression", "tiff; no compression"})
    void straightAlpha_staysStraight_thereAndBack(String settings) throws IOException {
        Path file = folder.resolve("a.tif");
        try (Picture before = transparent();
                Source made = new Source(before, SourceMetadata.NONE)) {
            Files.write(file, Encoder.encode(before, made, FileSettings.parse(settings)));
            try (Source read = PhotoCodecs.STANDARD.open(file, facts(file));
                    UByteIndexer was = before.mat().createIndexer();
                    UByteIndexer is = read.picture().mat().createIndexer()) {
                assertEquals(4, read.picture().channels());
                for (long x = 0; x < 16; x++) {
                    for (long channel = 0; channel < 4; channel++) {
                        assertEquals(was.get(3, x, channel), is.get(3, x, channel), "at " + x + ", " + channel);
                    }
                }
            }
        }
    }

    @Test
    void inkValues_gainNoAlpha_andAreTold() throws IOException {
        byte[] ink = new byte[8 * 8 * 4];
        java.util.Arrays.fill(ink, (byte) 40);
        Directory first = new Directory()
                .tag(256, 8)
                .tag(257, 8)
                .tag(258, 8, 8, 8, 8)
                .tag(259, 1)
                .tag(262, 5)
                .tag(277, 4)
                .tag(278, 8)
                .data(273, 279, ink);
        Path file = Files.write(folder.resolve("ink.tif"), TiffWriter.bytes(first));
        PhotoFacts facts = facts(file);
        assertTrue(facts.remarks().contains(Remark.INK), facts::toString);
        try (Source read = PhotoCodecs.STANDARD.open(file, facts)) {
            assertEquals(3, read.picture().channels());
        }
    }

    /** What was delivered in inks and comes back as a photo shows the colours that the press makes. */
    @ParameterizedTest
    @EnumSource(Packing.Depth.class)
    void inksWithAProfile_areShownByIt(Packing.Depth depth) throws IOException {
        Path press = Files.write(folder.resolve("press.icc"), InkMaker.profile());
        Profile inks = Profile.of(InkMaker.profile()).orElseThrow();
        FileSettings settings = new FileSettings(FileType.TIFF, 92, DeliveredColour.profile(press.toString()))
                .packed(Packing.DEFAULT.with(depth));
        try (Picture scene = TestPhotos.deepScene(120, 90);
                Source photo = new Source(scene.shared(), SourceMetadata.NONE)) {
            Path file = Files.write(folder.resolve("inks.tif"), Encoder.encode(scene, photo, settings));
            PhotoFacts facts = ((Probe.Readable) PhotoCodecs.STANDARD.probe(file)).facts();
            try (InkPicture ink = ColourTransform.between(Profile.SRGB, inks).inks(scene);
                    Picture printed =
                            ColourTransform.between(inks, Profile.SRGB).shown(ink);
                    Picture meant = printed.to8Bits();
                    Source back = PhotoCodecs.STANDARD.open(file, facts);
                    Picture shown = back.picture().to8Bits()) {
                assertEquals(3, back.picture().channels());
                assertTrue(TestPhotos.psnr(meant, shown) > 40, "it shows what is printed");
                assertTrue(back.profile().isEmpty(), "which is in sRGB now");
            }
        }
    }
}
