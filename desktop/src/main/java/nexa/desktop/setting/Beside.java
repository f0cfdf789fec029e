package nexa.desktop.setting;

/** What is looked at side by side. */
public enum Beside {
    TWO_PHOTOS(2, false),
    FOUR_PHOTOS(4, false),
    TWO_FORMATS(2, true),
    FOUR_FORMATS(4, true);

    private final int count;
    private final boolean formats;

    Beside(int count, boolean formats) {
        this.count = count;
        this.formats = formats;
    }

    /** How many there are at most. */
    public int count() {
        return count;
    }

    /** Whether it is one photo in several formats; else several photos in one. */
    public boolean isOfFormats() {
        return formats;
    }
}
