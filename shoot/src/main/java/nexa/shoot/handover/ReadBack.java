package nexa.shoot.handover;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Objects;
import nexa.core.files.DeliveredColour;
import nexa.core.geometry.PixelSize;
import nexa.imaging.file.PhotoProbe;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;

/** Looks at a delivered file as whoever gets it will: from the disk, whole. */
final class ReadBack {
    private ReadBack() {}

    /**
     * Checks bytes, size, orientation, that there is a profile if one was asked for, and that every pixel decodes.
     *
     * @throws IOException with the reason if anything is not as it was meant
     */
    static Outcome.Written check(Delivery delivery, byte[] meant) throws IOException {
        Path file = delivery.output();
        byte[] read = Files.readAllBytes(file);
        if (!Arrays.equals(read, meant)) {
            throw new IOException("what is on the disk differs from what was written");
        }
        if (!(PhotoProbe.probe(file) instanceof Probe.Readable(var facts))
                || facts.exifOrientation() != orientation(delivery)
                || !Objects.equals(facts.asShot(), delivery.size())) {
            throw new IOException("the file reads back with other headers");
        }
        boolean converted = delivery.format().files().colour().kind() != DeliveredColour.Kind.KEEP;
        if (converted && facts.profile() == null) {
            throw new IOException("the file reads back without its colour profile");
        }
        try (Picture picture = Decoder.decode(file, read, Reduction.NONE)) {
            PixelSize size = facts.decodedToAsShot().apply(picture.size());
            if (!size.equals(delivery.size())) {
                throw new IOException("the file reads back with " + size + " pixels");
            }
        }
        return new Outcome.Written(delivery, read.length, sha256(read));
    }

    /** A file whose pixels are as they were says how they lie. */
    private static int orientation(Delivery delivery) {
        return delivery.untouched().isPresent()
                ? delivery.photo().facts().orElseThrow().exifOrientation()
                : 1;
    }

    static String sha256(byte[] bytes) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException impossible) { // every Java platform has it
            throw new IllegalStateException(impossible);
        }
    }
}
