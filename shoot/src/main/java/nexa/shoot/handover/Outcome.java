package nexa.shoot.handover;

/** What became of one delivery. */
public sealed interface Outcome {
    record Written(Delivery delivery) implements Outcome {}

    /** @param reason in plain words */
    record Failed(Delivery delivery, String reason) implements Outcome {}
}
