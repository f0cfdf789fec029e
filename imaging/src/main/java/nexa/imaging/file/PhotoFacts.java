package nexa.imaging.file;

import java.time.LocalDateTime;
import java.util.EnumSet;
import java.util.Set;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.core.lens.data.Camera;
import org.jspecify.annotations.Nullable;

/**
 * What the headers of a readable photo say.
 *
 * @param asShot size with EXIF orientation applied
 * @param exifOrientation 1 to 8
 * @param taken the camera's clock, which has no time zone; null if it didn't say
 * @param profile name of the embedded colour profile; null if there is none
 * @param remarks on how the file is read
 * @param camera what it was taken with
 */
public record PhotoFacts(
        FileKind kind,
        PixelSize asShot,
        int exifOrientation,
        @Nullable LocalDateTime taken,
        @Nullable String profile,
        Set<Remark> remarks,
        Camera camera) {

    /** Of a file that says nothing of the camera. */
    public PhotoFacts(
            FileKind kind,
            PixelSize asShot,
            int exifOrientation,
            @Nullable LocalDateTime taken,
            @Nullable String profile,
            Set<Remark> remarks) {
        this(kind, asShot, exifOrientation, taken, profile, remarks, Camera.UNKNOWN);
    }

    public PhotoFacts {
        remarks = remarks.isEmpty() ? Set.of() : Set.copyOf(EnumSet.copyOf(remarks));
    }

    /** With one more remark. */
    public PhotoFacts with(Remark remark) {
        EnumSet<Remark> more = EnumSet.of(remark);
        more.addAll(remarks);
        return new PhotoFacts(kind, asShot, exifOrientation, taken, profile, more, camera);
    }

    /** From pixels as they come out of the decoder to as shot. */
    public Turn decodedToAsShot() {
        return kind.decodesAsShot() ? Turn.NONE : Turn.ofExif(exifOrientation);
    }

    /** Size as the camera laid it down, before EXIF orientation; so it lays down small pictures of it. */
    public PixelSize laidDown() {
        return Turn.ofExif(exifOrientation).inverse().apply(asShot);
    }

    /** Size of the pixels as they come out of the decoder. */
    public PixelSize decoded() {
        return decodedToAsShot().inverse().apply(asShot);
    }
}
