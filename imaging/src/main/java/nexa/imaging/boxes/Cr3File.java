package nexa.imaging.boxes;

import com.drew.imaging.ImageProcessingException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import nexa.imaging.boxes.FileBoxes.Place;
import nexa.imaging.source.SourceMetadata;
import nexa.imaging.tiff.JoinedExif;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What a CR3 file, whose boxes are those of ISO/IEC 14496-12, says beside its sensor data.
 *
 * @param pictures where the camera's pictures may be; whoever reads them has to see whether one is there
 */
public record Cr3File(List<Extent> pictures, SourceMetadata metadata) {
    private static final Logger LOG = LoggerFactory.getLogger(Cr3File.class);

    /** Cameras write four. */
    private static final int MOST_TRACKS = 16;

    private static final UUID HEADERS = UUID.fromString("85c0b687-820f-11e0-8111-f4ce462b6a48");
    private static final UUID PREVIEW = UUID.fromString("eaf42b5e-1c98-4b88-b9fb-b7dc406e4d16");
    private static final UUID XMP = UUID.fromString("be7acfcb-97a9-42e8-9c71-999491e3afac");

    /** In the preview's box, what comes before its inner box. */
    private static final int BEFORE_PREVIEW = 8;

    /** In a small picture's box: version, size of the picture and number of its bytes. */
    private static final int BEFORE_JPEG = 16;

    /** @throws ImageProcessingException if it is damaged */
    public static Cr3File read(SeekableByteChannel channel) throws IOException, ImageProcessingException {
        try {
            FileBoxes top = FileBoxes.of(channel);
            Optional<Place> movie = top.first("moov");
            return movie.isEmpty() ? new Cr3File(List.of(), SourceMetadata.NONE) : read(top, top.in(movie.get(), 0));
        } catch (RuntimeException senseless) { // numbers that point beyond what is there
            throw new ImageProcessingException(senseless);
        }
    }

    private static Cr3File read(FileBoxes top, FileBoxes movie) throws IOException, ImageProcessingException {
        List<Extent> pictures = new ArrayList<>();
        Optional<FileBoxes> headers = movie.ofMaker(HEADERS, 0);
        headers.flatMap(boxes -> picture(boxes, "THMB")).ifPresent(pictures::add);
        top.ofMaker(PREVIEW, BEFORE_PREVIEW)
                .flatMap(boxes -> picture(boxes, "PRVW"))
                .ifPresent(pictures::add);
        List<Place> tracks = movie.places().stream()
                .filter(box -> box.type().equals("trak"))
                .limit(MOST_TRACKS)
                .toList();
        for (Place track : tracks) {
            firstSample(movie, track).ifPresent(pictures::add);
        }
        byte[] exif = headers.isEmpty() ? null : exif(headers.get());
        return new Cr3File(pictures, new SourceMetadata(exif, null, xmp(top)));
    }

    private static Optional<Extent> picture(FileBoxes boxes, String type) {
        return boxes.first(type).map(box -> new Extent(box.start() + BEFORE_JPEG, box.length() - BEFORE_JPEG));
    }

    /** One track's is the photo as a JPEG in full size; by the tables of sizes and of places (8.7.3.2, 8.7.5). */
    private static Optional<Extent> firstSample(FileBoxes movie, Place track)
            throws IOException, ImageProcessingException {
        FileBoxes boxes = movie.in(track, 0);
        for (String inner : List.of("mdia", "minf", "stbl")) {
            Optional<Place> next = boxes.first(inner);
            if (next.isEmpty()) {
                return Optional.empty();
            }
            boxes = boxes.in(next.get(), 0);
        }
        Optional<ByteBuffer> sizes = boxes.content("stsz");
        Optional<ByteBuffer> places = boxes.content("co64");
        return sizes.isEmpty() || places.isEmpty()
                ? Optional.empty()
                : Optional.of(new Extent(places.get().getLong(8), size(sizes.get())));
    }

    /** One that all samples have, or 0; then each has its own. */
    private static long size(ByteBuffer sizes) {
        int ofAll = sizes.getInt(4);
        return Integer.toUnsignedLong(ofAll != 0 ? ofAll : sizes.getInt(12));
    }

    private static byte @Nullable [] exif(FileBoxes headers) throws IOException, ImageProcessingException {
        Optional<ByteBuffer> root = headers.content("CMT1");
        try {
            return root.isEmpty()
                    ? null
                    : JoinedExif.of(
                            root.get(), headers.content("CMT2"), headers.content("CMT3"), headers.content("CMT4"));
        } catch (RuntimeException senseless) { // the pictures may be whole
            LOG.info("What a CR3 file says of the shot is damaged", senseless);
            return null;
        }
    }

    private static byte @Nullable [] xmp(FileBoxes top) throws IOException, ImageProcessingException {
        Optional<Place> packet = top.ofMaker(XMP);
        return packet.isEmpty() ? null : Box.rest(top.content(packet.get()));
    }
}
