package nexa.shoot.edit;

/** What a stored step changed can't be read any more. */
public final class UnreadableStepException extends RuntimeException {
    private static final long serialVersionUID = 1;

    /** @param cause what its bytes held */
    public UnreadableStepException(Throwable cause) {
        super(cause);
    }
}
