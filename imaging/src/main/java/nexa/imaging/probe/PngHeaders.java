package nexa.imaging.probe;

import com.drew.imaging.ImageProcessingException;
import com.drew.imaging.png.PngMetadataReader;
import com.drew.imaging.png.PngProcessingException;
import com.drew.lang.ByteArrayReader;
import com.drew.metadata.Metadata;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.util.Optional;

/** A PNG's chunks (ISO/IEC 15948, 5.3) but for its pixels; its EXIF is read with care, all else by the library. */
final class PngHeaders {
    /** What is longer is not read for what a photo says. */
    private static final int LONGEST = 1 << 26;

    private final Bytes png;
    private final long size;
    private final ByteArrayOutputStream others = new ByteArrayOutputStream();
    private final Metadata ours = new Metadata();
    private boolean isBeforePixels = true;

    private PngHeaders(Bytes png, long size) {
        this.png = png;
        this.size = size;
    }

    /** @throws ImageProcessingException if they are damaged */
    static Metadata read(SeekableByteChannel file) throws IOException, ImageProcessingException {
        PngHeaders headers = new PngHeaders(Bytes.of(file), file.size());
        headers.readChunks();
        Metadata metadata = PngMetadataReader.readMetadata(new ByteArrayInputStream(headers.others.toByteArray()));
        headers.ours.getDirectories().forEach(metadata::addDirectory);
        return metadata;
    }

    private void readChunks() throws IOException, PngProcessingException {
        others.writeBytes(bytes(0, PngChunk.SIGNATURE));
        Optional<PngChunk> next = PngChunk.first(png);
        while (next.isPresent()) {
            PngChunk chunk = next.get();
            take(chunk);
            next = chunk.next(png);
        }
    }

    private void take(PngChunk chunk) throws IOException, PngProcessingException {
        if (chunk.length() < 0) {
            throw new PngProcessingException("A chunk longer than any");
        }
        if (!chunk.isWholeIn(size)) {
            throw new EOFException();
        }
        switch (chunk.type()) {
            case "IDAT" -> isBeforePixels = false;
            case "fdAT" -> {} // pixels of what follows
            case String _ when chunk.length() > LONGEST -> {}
            case "eXIf" -> takeExif(data(chunk));
            case "tEXt", "zTXt" -> takeText(chunk);
            case MovingPng.CONTROL -> takeMovement();
            case PngColours.CODE_POINTS -> ours.addDirectory(new PngColours.Said(data(chunk)));
            default -> others.writeBytes(whole(chunk));
        }
    }

    private void takeExif(byte[] tags) {
        new CarefulExif().extract(new ByteArrayReader(tags), ours);
    }

    private void takeText(PngChunk chunk) throws IOException {
        others.writeBytes(whole(chunk));
        RawProfile.exif(chunk.type(), data(chunk)).ifPresent(this::takeExif);
    }

    /** Said behind the pixels, it does not count. */
    private void takeMovement() {
        if (isBeforePixels) {
            ours.addDirectory(new MovingPng.Said());
        }
    }

    private byte[] data(PngChunk chunk) throws IOException {
        return bytes(chunk.data(), chunk.length());
    }

    private byte[] whole(PngChunk chunk) throws IOException {
        return bytes(chunk.at(), (int) (chunk.end() - chunk.at()));
    }

    private byte[] bytes(long at, int count) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(count);
        if (!png.read(bytes, at)) {
            throw new EOFException();
        }
        return bytes.array();
    }
}
