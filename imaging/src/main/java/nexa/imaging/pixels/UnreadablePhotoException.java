package nexa.imaging.pixels;

import java.io.IOException;
import java.nio.file.Path;
import nexa.core.told.Telling;
import nexa.core.told.Told;
import nexa.imaging.file.Trouble;

/** A photo whose pixels can't be had, with the reason as a value. */
public final class UnreadablePhotoException extends IOException implements Telling {
    private static final long serialVersionUID = 1;

    private final transient Trouble trouble;

    public UnreadablePhotoException(Path file, Trouble trouble) {
        super(file.getFileName() + ": " + trouble.told());
        this.trouble = trouble;
    }

    public UnreadablePhotoException(Path file, Trouble trouble, Throwable cause) {
        this(file, trouble);
        initCause(cause);
    }

    public Trouble trouble() {
        return trouble;
    }

    @Override
    public Told told() {
        return trouble.told();
    }
}
