package nexa.imaging.codec;

import com.drew.imaging.FileType;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.bmp.BmpHeaderDirectory;
import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.Headers;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;

/** Windows bitmaps, which hold no metadata. */
final class BmpCodec implements PhotoCodec {
    @Override
    public FileKind kind() {
        return FileKind.BMP;
    }

    @Override
    public Optional<Probe> probe(PhotoFile file) throws IOException, ImageProcessingException {
        if (file.type() != FileType.Bmp) {
            return Optional.empty();
        }
        Metadata headers = file.headers();
        Optional<PixelSize> stored = Headers.size(
                headers,
                BmpHeaderDirectory.class,
                BmpHeaderDirectory.TAG_IMAGE_WIDTH,
                BmpHeaderDirectory.TAG_IMAGE_HEIGHT);
        return Optional.of(Readings.of(kind(), stored, headers, EnumSet.noneOf(Remark.class)));
    }

    @Override
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        return new Source(Decoder.decode(file, Reduction.NONE), SourceMetadata.NONE);
    }

    @Override
    public SourceMetadata metadata(Path file, PhotoFacts facts) {
        return SourceMetadata.NONE;
    }
}
