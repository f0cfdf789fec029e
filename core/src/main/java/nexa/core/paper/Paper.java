package nexa.core.paper;

/** Sheets as they are sold, upright, in millimetres (ISO 216; ANSI/ASME Y14.1; photo papers by their inches). */
public enum Paper {
    A4(210, 297),
    A3(297, 420),
    A2(420, 594),
    LETTER(215.9, 279.4),
    TABLOID(279.4, 431.8),
    SUPER_B(330.2, 482.6),
    PHOTO_8X10(203.2, 254),
    PHOTO_16X20(406.4, 508);

    private final double width;
    private final double height;

    Paper(double width, double height) {
        this.width = width;
        this.height = height;
    }

    /** @param margin that stays white on each side */
    public Page page(boolean lying, double margin) {
        return lying ? new Page(height, width, margin) : new Page(width, height, margin);
    }
}
