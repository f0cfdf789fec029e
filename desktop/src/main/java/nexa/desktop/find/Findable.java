package nexa.desktop.find;

/**
 * Something that is done, or gone to, by choosing it.
 *
 * @param words what it is called
 * @param key that does the same; empty if there is none
 */
record Findable(Kind kind, String words, String key, Runnable action) {
    /** What it is, most wanted first. */
    enum Kind {
        COMMAND,
        FORMAT,
        CARRY,
        FILTER,
        OVERLAY,
        PHOTO
    }
}
