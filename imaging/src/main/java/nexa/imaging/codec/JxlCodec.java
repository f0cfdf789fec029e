package nexa.imaging.codec;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import nexa.imaging.apart.Apart;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.boxes.JxlFile;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import nexa.imaging.system.SystemLibrary;

/** JPEG XL, where the system's library for it is installed; decoded apart. */
final class JxlCodec implements PhotoCodec {
    private static final int BEGINNING = 16;

    private final Apart apart;

    JxlCodec(Apart apart) {
        this.apart = apart;
    }

    @Override
    public FileKind kind() {
        return FileKind.JPEG_XL;
    }

    @Override
    public Optional<Probe> probe(PhotoFile file) throws IOException, ImageProcessingException {
        return JxlFile.isOne(file.beginning(BEGINNING)) ? Optional.of(read(file)) : Optional.empty();
    }

    private Probe read(PhotoFile file) throws IOException, ImageProcessingException {
        if (SystemLibrary.jxl().isEmpty()) {
            return Probe.unreadable(Trouble.Kind.JPEG_XL);
        }
        JxlFile said = JxlFile.read(file.channel());
        if (said.isOfInks()) {
            return Probe.unreadable(Trouble.Kind.UNSUPPORTED);
        }
        Set<Remark> remarks = EnumSet.noneOf(Remark.class);
        if (said.hdr() != null) {
            remarks.add(Remark.HDR);
        }
        if (said.hasAlpha()) {
            remarks.add(Remark.NO_ALPHA);
        }
        return Readings.of(kind(), said.stored(), said.orientation(), said.metadata(), remarks);
    }

    /** The profile comes with the pixels, where they are not made for HDR screens. */
    @Override
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        SourceMetadata metadata =
                Readings.reading(file, opened -> JxlFile.read(opened.channel()).metadata());
        Apart.Decoded decoded = apart.decode(file, Kind.JPEG_XL, facts.asShot(), reduction);
        return new Source(decoded.picture(), decoded.icc().length == 0 ? metadata : metadata.withIcc(decoded.icc()));
    }
}
