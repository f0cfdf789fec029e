package nexa.imaging.codec;

import com.drew.metadata.Metadata;
import java.util.Optional;
import java.util.Set;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Turn;
import nexa.imaging.file.FileKind;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.imaging.file.Trouble;
import nexa.imaging.probe.CameraHeaders;
import nexa.imaging.probe.Headers;

/** What all families make of headers in the same way. */
final class Readings {
    private Readings() {}

    /** The same of a size that headers must say, else they are damaged. */
    static Probe of(FileKind kind, Optional<PixelSize> stored, Metadata headers, Set<Remark> remarks) {
        return stored.map(size -> of(kind, size, headers, remarks))
                .orElseGet(() -> Probe.unreadable(Trouble.Kind.DAMAGED));
    }

    /** @param remarks on how the file is read; those on its profile are added */
    static Probe of(FileKind kind, PixelSize stored, Metadata headers, Set<Remark> remarks) {
        if (PixelLimit.isExceeded(stored)) {
            return Probe.unreadable(Trouble.Kind.TOO_LARGE);
        }
        int orientation = Headers.orientation(headers);
        PixelSize asShot = Turn.ofExif(orientation).apply(stored);
        String profile = Headers.profile(headers);
        if (profile == null) {
            remarks.add(Remark.NO_PROFILE);
        } else if (Headers.isOfInk(headers) && !remarks.contains(Remark.INK)) {
            remarks.add(Remark.UNFIT_PROFILE);
        }
        return new Probe.Readable(new PhotoFacts(
                kind, asShot, orientation, Headers.taken(headers), profile, remarks, CameraHeaders.read(headers)));
    }
}
