package nexa.desktop.setting;

/** How the mat looks. */
public enum MatTone {
    /** Whichever of the two sets itself off the photo. */
    AUTO,
    LIGHT,
    DARK
}
