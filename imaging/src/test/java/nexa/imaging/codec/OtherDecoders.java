package nexa.imaging.codec;

import static nexa.imaging.TestPhotos.facts;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Path;
import nexa.imaging.TestPhotos;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.preview.PreviewMaker;
import nexa.imaging.source.Source;

/** Photos as we open them beside what the decoders of others made of them. */
final class OtherDecoders {
    /** Of what the encoders of others are given. */
    static final int WIDTH = 322;

    static final int HEIGHT = 240;

    /** What an eye does not tell apart at 8 bits, in decibels. */
    private static final double SAME = 45;

    private OtherDecoders() {}

    /** A new file for the encoders of others. */
    static Path source(Path folder, boolean isDeep) throws IOException {
        return TestPhotos.png(folder.resolve(isDeep ? "deep.png" : "source.png"), WIDTH, HEIGHT, isDeep);
    }

    /** @param expected what another decoder wrote of the file */
    static void assertSame(Path expected, Path file) throws IOException {
        PhotoFacts facts = facts(file);
        try (Picture decoded = Decoder.decode(expected, Reduction.NONE);
                Picture theirs = decoded.to8Bits();
                Picture ours = new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts, 10_000)) {
            assertEquals(theirs.size(), facts.asShot());
            assertEquals(theirs.size(), ours.size());
            double decibels = TestPhotos.psnr(theirs, ours);
            assertTrue(decibels >= SAME, file.getFileName() + " at " + decibels + " dB");
        }
    }

    /** That no bits are lost between the file and its pixels. */
    static void assertBits(int bits, Path file) throws IOException {
        try (Source source = PhotoCodecs.STANDARD.open(file, facts(file))) {
            assertEquals(bits, source.picture().bits());
        }
    }
}
