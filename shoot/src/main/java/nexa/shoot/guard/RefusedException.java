package nexa.shoot.guard;

import nexa.imaging.file.ToldException;

/** A file is not written because of what is there; the reason says what. */
public sealed class RefusedException extends ToldException permits NameTakenException {
    private static final long serialVersionUID = 1;

    RefusedException(String code, Object... values) {
        super(code, values);
    }
}
