package nexa.core.paper;

import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

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

    /** Where Letter is usual (Unicode CLDR, paper sizes). */
    private static final Set<String> OF_LETTER =
            Set.of("BZ", "CA", "CL", "CO", "CR", "GT", "MX", "NI", "PA", "PH", "PR", "SV", "US", "VE");

    private final double width;
    private final double height;

    Paper(double width, double height) {
        this.width = width;
        this.height = height;
    }

    /**
     * All, the usual ones of a country first.
     *
     * @param country by ISO 3166-1, two letters; any other text is a country of A4
     */
    public static List<Paper> inCountry(String country) {
        List<Paper> inches = List.of(LETTER, TABLOID, SUPER_B, PHOTO_8X10, PHOTO_16X20);
        List<Paper> metric = List.of(A4, A3, A2);
        boolean isOfLetter = OF_LETTER.contains(country);
        return Stream.concat((isOfLetter ? inches : metric).stream(), (isOfLetter ? metric : inches).stream())
                .toList();
    }

    /** @param margin that stays white on each side */
    public Page page(boolean lying, double margin) {
        return lying ? new Page(height, width, margin) : new Page(width, height, margin);
    }
}
