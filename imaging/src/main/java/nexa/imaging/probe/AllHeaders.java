package nexa.imaging.probe;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Metadata;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.FileSystems;
import java.nio.file.Files;
import java.nio.file.Path;

/** Reads all headers of a file. */
final class AllHeaders {
    private AllHeaders() {}

    /** On the usual disks only the parts that matter are read; elsewhere from the beginning as far as needed. */
    static Metadata of(Path file) throws IOException, ImageProcessingException {
        if (file.getFileSystem() == FileSystems.getDefault()) {
            return ImageMetadataReader.readMetadata(file.toFile());
        }
        try (InputStream in = new BufferedInputStream(Files.newInputStream(file))) {
            return ImageMetadataReader.readMetadata(in, Files.size(file));
        }
    }
}
