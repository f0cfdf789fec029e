package nexa.shoot.handover.request;

/** What to do where a file of the wanted name is there already. */
public enum Collision {
    /** The new one gets a number behind its name. */
    NUMBER,
    /** The one that is there stays, and nothing is written. */
    SKIP,
    /** The new one takes its place; never that of a photo of the shoot. */
    REPLACE
}
