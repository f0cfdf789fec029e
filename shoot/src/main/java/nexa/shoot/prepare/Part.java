package nexa.shoot.prepare;

/** What help can do for a photo, in the order in which it is done. */
public enum Part {
    /** Correct its lens as found by the file's data. */
    LENS,
    LEVEL,
    /** Stand its uprights up. */
    PLUMB,
    /** Mark its subject, so that frames nobody placed keep it. */
    SUBJECT
}
