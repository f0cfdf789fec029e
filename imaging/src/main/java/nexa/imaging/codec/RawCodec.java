package nexa.imaging.codec;

import com.drew.metadata.Metadata;
import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import nexa.core.geometry.PixelSize;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Reduced;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.EmbeddedJpeg;
import nexa.imaging.probe.Headers;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.probe.RawFile;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;

/** Cameras' sensor data, seen through the JPEG that the camera put into the file. */
final class RawCodec implements PhotoCodec {
    /** Share of the photo's long edge below which its preview is called small. */
    private static final double NEARLY_ALL = 0.75;

    @Override
    public FileKind kind() {
        return FileKind.RAW;
    }

    @Override
    public Optional<Probe> probe(PhotoFile file) throws IOException {
        return isRaw(file) ? Optional.of(read(file, file.understoodHeaders().orElseThrow())) : Optional.empty();
    }

    /** Whether a file holds sensor data. */
    boolean isRaw(PhotoFile file) throws IOException {
        Optional<Metadata> headers = RawFile.mayBe(file.type()) ? file.understoodHeaders() : Optional.empty();
        return headers.isPresent() && RawFile.isRaw(file, headers.get());
    }

    private Probe read(PhotoFile file, Metadata headers) throws IOException {
        Optional<EmbeddedJpeg> preview = RawFile.preview(file);
        return preview.isEmpty()
                ? Probe.unreadable(Trouble.Kind.RAW_WITHOUT_PREVIEW)
                : Readings.of(
                        kind(),
                        preview.get().size(),
                        headers,
                        EnumSet.of(remark(preview.get().size(), headers)));
    }

    private static Remark remark(PixelSize preview, Metadata headers) {
        boolean isSmall = Headers.photoSize(headers)
                .filter(photo -> preview.longEdge() < NEARLY_ALL * photo.longEdge())
                .isPresent();
        return isSmall ? Remark.SMALL_PREVIEW : Remark.CAMERA_PREVIEW;
    }

    @Override
    public Source open(Path path, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        return reduction == Reduction.NONE ? toReduce(path, facts, Reduced.NOT) : shown(path, facts, reduction);
    }

    @Override
    public Source toReduce(Path path, PhotoFacts facts, Reduced reduced) throws UnreadablePhotoException {
        Source shown = shown(path, facts, reduced.means());
        return new Source(shown.picture(), RawMetadata.completed(path, shown.metadata()));
    }

    private static Source shown(Path path, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        EmbeddedJpeg preview = Readings.reading(path, RawFile::preview)
                .orElseThrow(() -> new UnreadablePhotoException(path, Trouble.of(Trouble.Kind.RAW_WITHOUT_PREVIEW)));
        return JpegCodec.decode(path, bytes(path, preview), facts, reduction);
    }

    /** All but the largest, which is what is shown as the photo. */
    @Override
    public List<EmbeddedJpeg> embedded(Path path) {
        List<EmbeddedJpeg> all = previews(path);
        return all.subList(0, Math.max(0, all.size() - 1));
    }

    /** The pictures that the camera put in, smallest first. */
    static List<EmbeddedJpeg> previews(Path path) {
        try {
            return Readings.reading(path, RawFile::previews);
        } catch (UnreadablePhotoException gone) { // said where its pixels are asked for
            return List.of();
        }
    }

    @Override
    public SourceMetadata metadata(Path path, PhotoFacts facts) throws UnreadablePhotoException {
        return metadata(path, facts, Readings.reading(path, RawFile::preview));
    }

    /** @param preview the camera's picture */
    SourceMetadata metadata(Path path, PhotoFacts facts, Optional<EmbeddedJpeg> preview)
            throws UnreadablePhotoException {
        SourceMetadata ofPicture = preview.isEmpty() ? SourceMetadata.NONE : JpegBlocks.of(bytes(path, preview.get()));
        return RawMetadata.completed(path, Readings.withCodedProfile(ofPicture, facts));
    }

    private static byte[] bytes(Path path, EmbeddedJpeg preview) throws UnreadablePhotoException {
        return Readings.reading(path, file -> preview.bytes(path));
    }
}
