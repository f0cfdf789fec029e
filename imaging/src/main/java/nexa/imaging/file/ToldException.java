package nexa.imaging.file;

import java.io.IOException;
import nexa.core.told.Telling;
import nexa.core.told.Told;

/** Something could not be read, written or made; the reason is for the user. */
public class ToldException extends IOException implements Telling {
    private static final long serialVersionUID = 1;

    private final transient Told told;

    public ToldException(Told told) {
        super(told.toString());
        this.told = told;
    }

    public ToldException(Told told, Throwable cause) {
        super(told.toString(), cause);
        this.told = told;
    }

    public ToldException(String code, Object... values) {
        this(Told.of(code, values));
    }

    @Override
    public Told told() {
        return told;
    }
}
