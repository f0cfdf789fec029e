package nexa.core.lens;

/** Where the corrections of a photo's lens come from. */
public enum LensUse {
    /** Not corrected. */
    OFF,
    /** By the lens that the file tells of. */
    FOUND,
    /** By the lens that the photographer named. */
    CHOSEN,
    /** By the photographer's eye. */
    BY_HAND
}
