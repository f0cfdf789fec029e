package nexa.imaging.apart.decoder;

import nexa.imaging.file.Trouble;

/** A file can't be decoded, and why. */
public final class Refusal extends Exception {
    private static final long serialVersionUID = 1;

    private final Trouble.Kind kind;

    /** @param detail for the log */
    public Refusal(Trouble.Kind kind, String detail) {
        super(detail);
        this.kind = kind;
    }

    public Trouble.Kind kind() {
        return kind;
    }

    /** @param detail for the log */
    public static Refusal damaged(String detail) {
        return new Refusal(Trouble.Kind.DAMAGED, detail);
    }
}
