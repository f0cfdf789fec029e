package nexa.desktop.setting;

/** Which photos a crop is carried to. */
public enum CarryTo {
    /** Those selected on the Wall; without a selection all. */
    SELECTED,
    ALL,
    /** Those that the filter lets through. */
    FILTERED,
    /** So many behind the current one, in the order of the Wall. */
    NEXT
}
