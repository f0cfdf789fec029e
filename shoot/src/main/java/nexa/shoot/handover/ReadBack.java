package nexa.shoot.handover;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Objects;
import nexa.core.files.DeliveredColour;
import nexa.core.geometry.PixelSize;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.Probe;
import nexa.imaging.file.ToldException;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;

/** Looks at a file to be delivered as whoever gets it will: from the disk, whole. */
final class ReadBack {
    private ReadBack() {}

    /**
     * Checks a file that has not its name yet: bytes, size, orientation, that there is a profile if one was
     * asked for, and that all of its picture data decodes (a JPEG's to fewer pixels, for which all of it is read too).
     *
     * @throws IOException with the reason if anything is not as it was meant
     */
    static void check(Delivery delivery, Path file, Sum meant, PhotoCodecs codecs) throws IOException {
        if (!meant.equals(Sum.of(file))) {
            throw new ToldException("told.handover.what-on-disk-differs-from");
        }
        if (!(codecs.probe(file) instanceof Probe.Readable(var facts))
                || facts.exifOrientation() != orientation(delivery)
                || !Objects.equals(facts.asShot(), delivery.size())) {
            throw new ToldException("told.handover.file-reads-back-with-other");
        }
        boolean converted = delivery.format().files().colour().kind() != DeliveredColour.Kind.KEEP;
        if (converted && facts.profile() == null) {
            throw new ToldException("told.handover.file-reads-back-without-colour");
        }
        Reduction reduction = facts.kind() == FileKind.JPEG ? Reduction.EIGHTH : Reduction.NONE;
        try (Picture picture = Decoder.decode(file, reduction)) {
            PixelSize size = facts.decodedToAsShot().apply(picture.size());
            if (!size.equals(reduction.of(delivery.size()))) {
                throw new ToldException("told.handover.file-reads-back-with-pixels", size);
            }
        }
    }

    /** A file whose pixels are as they were says how they lie. */
    private static int orientation(Delivery delivery) {
        return delivery.untouched().isPresent()
                ? delivery.photo().facts().orElseThrow().exifOrientation()
                : 1;
    }
}
