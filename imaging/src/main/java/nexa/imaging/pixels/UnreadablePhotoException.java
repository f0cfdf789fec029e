package nexa.imaging.pixels;

import java.io.IOException;
import java.nio.file.Path;
import nexa.imaging.file.Trouble;

/** A photo whose pixels can't be had, with the reason as a value. */
public final class UnreadablePhotoException extends IOException {
    private static final long serialVersionUID = 1;

    private final transient Trouble trouble;

    public UnreadablePhotoException(Path file, Trouble trouble) {
        super(file.getFileName() + ": " + trouble.text());
        this.trouble = trouble;
    }

    public UnreadablePhotoException(Path file, Trouble trouble, Throwable cause) {
        this(file, trouble);
        initCause(cause);
    }

    public Trouble trouble() {
        return trouble;
    }
}
