package nexa.imaging.probe;

import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.jpeg.JpegMetadataReader;
import com.drew.imaging.jpeg.JpegSegmentMetadataReader;
import com.drew.imaging.riff.RiffReader;
import com.drew.imaging.tiff.TiffReader;
import com.drew.lang.ByteArrayReader;
import com.drew.lang.RandomAccessReader;
import com.drew.lang.StreamReader;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifReader;
import com.drew.metadata.exif.ExifTiffHandler;
import com.drew.metadata.exif.makernotes.AppleMakernoteDirectory;
import com.drew.metadata.webp.WebpRiffHandler;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Set;
import java.util.stream.StreamSupport;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Reads EXIF, also around a tag that can't be read: the library believes the lengths that a maker's own notes tell, be they
 * larger than all memory.
 */
public final class CarefulExif extends ExifReader {
    private static final Logger LOG = LoggerFactory.getLogger(CarefulExif.class);

    /** As the library's own, with this one for EXIF. */
    private static final List<JpegSegmentMetadataReader> OF_JPEG = StreamSupport.stream(
                    JpegMetadataReader.ALL_READERS.spliterator(), false)
            .<JpegSegmentMetadataReader>map(reader -> reader instanceof ExifReader ? new CarefulExif() : reader)
            .toList();

    /** All that the headers of a JPEG say. */
    static Metadata ofJpeg(InputStream file) throws IOException, ImageProcessingException {
        return JpegMetadataReader.readMetadata(file, OF_JPEG);
    }

    /** All that the headers of a TIFF say. */
    static Metadata ofTiff(RandomAccessReader file) throws IOException, ImageProcessingException {
        Metadata metadata = new Metadata();
        new TiffReader().processTiff(file, new Handler(metadata, null, 0), 0);
        return metadata;
    }

    /** All that the headers of a WebP say. */
    static Metadata ofWebp(InputStream file) throws IOException, ImageProcessingException {
        Metadata metadata = new Metadata();
        new RiffReader().processRiff(new StreamReader(file), new WebpRiffHandler(metadata) {
            @Override
            public void processChunk(String kind, byte[] payload) {
                if (kind.equals("EXIF")) {
                    int start = startsWithJpegExifPreamble(payload) ? JPEG_SEGMENT_PREAMBLE.length() : 0;
                    new CarefulExif().extract(new ByteArrayReader(payload, start), metadata);
                } else {
                    super.processChunk(kind, payload);
                }
            }
        });
        return metadata;
    }

    @Override
    public void extract(RandomAccessReader block, Metadata metadata, int offset, @Nullable Directory parent) {
        Handler handler = new Handler(metadata, parent, offset);
        try {
            new TiffReader().processTiff(block, handler, offset);
        } catch (IOException | ImageProcessingException damaged) {
            handler.error(damaged.getMessage());
            LOG.info("EXIF is damaged: {}", damaged.toString());
        }
    }

    private static final class Handler extends ExifTiffHandler {
        Handler(Metadata metadata, @Nullable Directory parent, int offset) {
            super(metadata, parent, offset);
        }

        /** @return whether the tag needs no more reading */
        @Override
        public boolean customProcessTag(
                int at, Set<Integer> directories, int header, RandomAccessReader reader, int tag, int length)
                throws IOException {
            if (_currentDirectory instanceof AppleMakernoteDirectory && tag == AppleMakernoteDirectory.TAG_RUN_TIME) {
                return true; // a list that the library reads without end where it is damaged; nobody asks for it
            }
            try {
                return super.customProcessTag(at, directories, header, reader, tag, length);
            } catch (RuntimeException | OutOfMemoryError | StackOverflowError damaged) {
                LOG.info("EXIF's tag {} is damaged: {}", tag, damaged.toString());
                return true;
            }
        }
    }
}
