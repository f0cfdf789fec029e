package nexa.core.brief;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import nexa.core.print.SizeTarget;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;

/** What deliveries often ask for. Papers are meant at 300 ppi, held in the hand; inches are 25.4 mm. */
public enum Preset {
    A6(Kind.ISO, "A6", "105 x 148 mm"),
    A5(Kind.ISO, "A5", "148 x 210 mm"),
    A4(Kind.ISO, "A4", "210 x 297 mm"),
    A3(Kind.ISO, "A3", "297 x 420 mm"),
    A2(Kind.ISO, "A2", "420 x 594 mm"),
    CM_20_30(Kind.ISO, "20×30 cm", "20 x 30 cm"),
    CM_30_40(Kind.ISO, "30×40 cm", "30 x 40 cm"),
    INCH_4_6(Kind.INCH, "4×6 in", "4 x 6 in"),
    INCH_5_7(Kind.INCH, "5×7 in", "5 x 7 in"),
    INCH_8_10(Kind.INCH, "8×10 in", "8 x 10 in"),
    LETTER(Kind.INCH, "Letter 8.5×11 in", "8.5 x 11 in"),
    INCH_11_14(Kind.INCH, "11×14 in", "11 x 14 in"),
    INCH_16_20(Kind.INCH, "16×20 in", "16 x 20 in"),
    FULL_HD(Kind.SCREEN, "Full HD", "1920 x 1080 px"),
    UHD(Kind.SCREEN, "4K UHD", "3840 x 2160 px"),
    SLIDE(Kind.SCREEN, "Slide 4:3", "1600 x 1200 px"),
    SQUARE_1080(Kind.SCREEN, "Square 1080", "1080 x 1080 px"),
    PORTRAIT_1080(Kind.SCREEN, "Upright 1080", "1080 x 1350 px"),
    TALL_1080(Kind.SCREEN, "Tall 1080", "1080 x 1920 px"),
    LINK_1200(Kind.SCREEN, "Link 1200", "1200 x 630 px");

    /** What is delivered on. */
    public enum Kind {
        ISO,
        INCH,
        SCREEN
    }

    private final Kind kind;
    private final Format format;

    Preset(Kind kind, String name, String size) {
        this.kind = kind;
        SizeTarget target = SizeTarget.parse(size);
        this.format = new Format(0, name, Shape.parse(size), OrientationRule.FOLLOW_PHOTO).sized(target);
    }

    public static List<Preset> of(Kind kind) {
        return Arrays.stream(values()).filter(preset -> preset.kind == kind).toList();
    }

    /** By its name, whole or without the sides behind it: {@code a4}, {@code full hd}, {@code 20x30 cm}, {@code letter}. */
    public static Optional<Preset> named(String typed) {
        String wanted = plain(typed);
        return Arrays.stream(values())
                .filter(preset -> plain(preset.format.name()).equals(wanted)
                        || preset.called().equals(wanted))
                .findFirst();
    }

    /** The word before its sides; all of its name if there is no other. */
    private String called() {
        String[] words = format.name().split(" ", 2);
        boolean sidesFollow = words.length > 1 && words[1].contains("×");
        return plain(sidesFollow ? words[0] : format.name());
    }

    private static String plain(String name) {
        return name.strip().toLowerCase(Locale.ROOT).replace('×', 'x').replaceAll("\\s+", "");
    }

    /** To be added to a brief, which gives it an id. */
    public Format format() {
        return format;
    }
}
