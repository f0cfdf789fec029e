package nexa.imaging.codec;

import com.drew.imaging.FileType;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifDirectoryBase;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.io.IOException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import nexa.core.geometry.PixelSize;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.probe.Headers;
import nexa.imaging.probe.Pages;
import nexa.imaging.probe.PhotoFile;
import nexa.imaging.source.Source;
import nexa.imaging.source.SourceMetadata;
import nexa.imaging.tiff.TiffHeaders;
import nexa.imaging.tiff.TiffPixels;
import nexa.imaging.tiff.TiffTags;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** TIFF 6.0 of whole numbers. Its tags are the EXIF structure. */
final class TiffCodec implements PhotoCodec {
    private static final Logger LOG = LoggerFactory.getLogger(TiffCodec.class);

    @Override
    public FileKind kind() {
        return FileKind.TIFF;
    }

    @Override
    public Optional<Probe> probe(PhotoFile file) throws IOException, ImageProcessingException {
        return file.type() == FileType.Tiff ? Optional.of(read(file)) : Optional.empty();
    }

    private Probe read(PhotoFile file) throws IOException, ImageProcessingException {
        Metadata headers = file.headers();
        Optional<PixelSize> stored = Headers.size(
                headers,
                ExifIFD0Directory.class,
                ExifDirectoryBase.TAG_IMAGE_WIDTH,
                ExifDirectoryBase.TAG_IMAGE_HEIGHT);
        if (stored.isEmpty()) {
            return Probe.unreadable(Trouble.Kind.DAMAGED);
        }
        if (!Headers.isCommonTiff(headers)) {
            return Probe.unreadable(Trouble.Kind.UNSUPPORTED);
        }
        Set<Remark> remarks = EnumSet.noneOf(Remark.class);
        if (Headers.photometric(headers) == TiffTags.SEPARATED) {
            remarks.add(Remark.INK);
        }
        if (Pages.count(file.path()) > 1) {
            remarks.add(Remark.FIRST_OF_SEVERAL);
        }
        return Readings.of(kind(), stored.get(), headers, remarks);
    }

    @Override
    public Source open(Path file, PhotoFacts facts, Reduction reduction) throws UnreadablePhotoException {
        Optional<TiffHeaders> headers = headers(file);
        return new Source(
                TiffPixels.decode(file, headers.map(TiffHeaders::tags)),
                headers.map(TiffCodec::metadata).orElse(SourceMetadata.NONE));
    }

    @Override
    public SourceMetadata metadata(Path file, PhotoFacts facts) {
        return headers(file).map(TiffCodec::metadata).orElse(SourceMetadata.NONE);
    }

    private static Optional<TiffHeaders> headers(Path file) {
        try {
            return Optional.of(TiffHeaders.read(file));
        } catch (IOException damaged) { // if it is gone, its pixels are too
            LOG.info("The tags of {} can't be read; its metadata is left out", file, damaged);
            return Optional.empty();
        }
    }

    private static SourceMetadata metadata(TiffHeaders headers) {
        TiffTags tags = headers.tags();
        return new SourceMetadata(headers.exif(), tags.bytes(TiffTags.ICC), tags.bytes(TiffTags.XMP), iptc(tags));
    }

    private static byte @Nullable [] iptc(TiffTags tags) {
        byte[] record = tags.bytes(TiffTags.IPTC);
        byte[] resources = tags.bytes(TiffTags.IMAGE_RESOURCES);
        return record != null || resources == null ? record : ImageResources.iptc(resources);
    }
}
