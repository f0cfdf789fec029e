package nexa.shoot.handover;

/** What became of one delivery. */
public sealed interface Outcome {
    Delivery delivery();

    /**
     * Written, read back and found good.
     *
     * @param bytes its length
     * @param sha256 of its content, in hexadecimal digits
     */
    record Written(Delivery delivery, long bytes, String sha256) implements Outcome {}

    /** @param reason in plain words */
    record Failed(Delivery delivery, String reason) implements Outcome {}
}
