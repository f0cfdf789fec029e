package nexa.desktop.setting;

/** When the overlay shows. */
public enum OverlayShow {
    ALWAYS,
    ADJUSTING,
    NEVER;

    public OverlayShow next() {
        return values()[(ordinal() + 1) % values().length];
    }
}
