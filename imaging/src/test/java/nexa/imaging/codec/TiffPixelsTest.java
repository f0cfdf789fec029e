package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC4;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.core.files.FileSettings;
import nexa.imaging.TiffWriter;
import nexa.imaging.TiffWriter.Directory;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.Picture;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import org.bytedeco.javacpp.indexer.UByteIndexer;
import org.bytedeco.opencv.opencv_core.Mat;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
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
}
