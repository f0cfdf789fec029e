package nexa.shoot.prepare;

/**
 * One part of what is proposed.
 *
 * @param confidence how often such a proposal is right, 0 to 1
 * @param amount degrees for level, of pitch for plumb; 0 for what has none
 */
public record Step(Part part, Decision decision, double confidence, double amount) {
    /** What becomes of it if nobody looks. */
    public enum Decision {
        ACCEPT,
        /** Shown, and done only if somebody takes it. */
        OFFER,
        REFUSE
    }

    public boolean is(Decision other) {
        return decision == other;
    }
}
