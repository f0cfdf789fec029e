package nexa.core.told;

/** A value that somebody typed is none; the reason is for them. */
public final class InvalidException extends IllegalArgumentException implements Telling {
    private static final long serialVersionUID = 1;

    private final transient Told told;

    public InvalidException(String code, Object... values) {
        this(Told.of(code, values));
    }

    public InvalidException(Told told, Throwable cause) {
        super(told.toString(), cause);
        this.told = told;
    }

    private InvalidException(Told told) {
        super(told.toString());
        this.told = told;
    }

    @Override
    public Told told() {
        return told;
    }
}
