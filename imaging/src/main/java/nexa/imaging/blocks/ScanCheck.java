package nexa.imaging.blocks;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.event.IIOReadWarningListener;
import javax.imageio.stream.ImageInputStream;

/**
 * Tells whether a JPEG's picture data is whole: decoders fill in what is damaged and say nothing. Every code of the scan
 * must be one of its tables, and the last one must end where the picture ends. No pixel is decoded, unless the file is of a
 * kind that only a decoder understands.
 */
public final class ScanCheck {
    /** A decoder that only looks for damage gives a small picture. */
    private static final int SAMPLED = 16;

    private ScanCheck() {}

    /** Whether parts of the picture are damaged or missing. */
    public static boolean isDamaged(byte[] jpeg) {
        Optional<PictureWalk> walk = PictureWalk.of(jpeg);
        if (walk.isEmpty()) {
            return decoderComplains(jpeg);
        }
        try {
            walk.get().toTheEnd();
            return false;
        } catch (IOException damaged) { // that is the answer
            return true;
        }
    }

    private static boolean decoderComplains(byte[] jpeg) {
        AtomicBoolean complaint = new AtomicBoolean();
        ImageReader reader = ImageIO.getImageReadersByFormatName("jpeg").next();
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(jpeg))) {
            reader.setInput(in, true, true);
            reader.addIIOReadWarningListener((IIOReadWarningListener) (source, warning) -> complaint.set(true));
            ImageReadParam small = reader.getDefaultReadParam();
            small.setSourceSubsampling(SAMPLED, SAMPLED, 0, 0);
            reader.readRaster(0, small);
            return complaint.get();
        } catch (IOException | RuntimeException unread) { // a kind this decoder does not know is no damage
            return complaint.get();
        } finally {
            reader.dispose();
        }
    }
}
