package nexa.desktop.widget;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.paint.Color;
import nexa.core.level.Finding;
import nexa.core.review.Warning;
import nexa.desktop.paint.Ink;
import nexa.desktop.paint.Mat;
import nexa.desktop.setting.OverlayLook;
import nexa.desktop.setting.Settings;
import nexa.imaging.file.PhotoFacts;
import nexa.words.Words;

/** From what the user set to colours and words. */
public final class Looks {
    private Looks() {}

    /** The mat's colour on a photo of the given mean brightness. */
    public static Color mat(Settings settings, double brightness) {
        Mat mat =
                switch (settings.matToneProperty().get()) {
                    case AUTO -> Mat.forBrightness(brightness);
                    case LIGHT -> Mat.LIGHT;
                    case DARK -> Mat.DARK;
                };
        return mat.colour(settings.matStrengthProperty().get());
    }

    /** What overlay lines are drawn with on a photo of the given mean brightness. */
    public static Ink ink(Settings settings, double brightness) {
        OverlayLook look = settings.overlayLookProperty().get();
        return Ink.of(colour(look.ink(), brightness), look.strength(), look.thickness());
    }

    /** The same, quieter, for many results side by side. */
    public static Ink fineInk(Settings settings, double brightness) {
        OverlayLook look = settings.overlayLookProperty().get();
        return Ink.of(colour(look.ink(), brightness), 0.6 * look.strength(), Math.min(1, look.thickness()));
    }

    public static Color colour(OverlayLook.Ink ink, double brightness) {
        return switch (ink) {
            case AUTO -> Mat.isBright(brightness) ? Color.gray(0.08) : Color.WHITE;
            case WHITE -> Color.WHITE;
            case BLACK -> Color.gray(0.05);
            case YELLOW -> Color.web("#f2c83a");
            case RED -> Color.web("#d8402f");
            case BLUE -> Color.web("#3b82c4");
        };
    }

    /** Warnings in one line. */
    public static String words(Set<Warning> warnings) {
        return warnings.stream()
                .sorted()
                .map(warning -> Words.of("warning", warning))
                .collect(Collectors.joining(" · "));
    }

    /**
     * What one should know of how a photo's file is read, in one line.
     *
     * @param companion the other file of its pair
     */
    public static String words(PhotoFacts facts, Optional<String> companion) {
        String profile = facts.kind().decodesWithProfile() ? null : facts.profile(); // no profile of the file's own
        return Stream.of(
                        companion.map(file -> Words.of("pairs.with", ending(file))).stream(),
                        Stream.ofNullable(profile).filter(name -> !name.startsWith("sRGB")),
                        facts.remarks().stream().sorted().map(remark -> Words.of("remark", remark)))
                .flatMap(words -> words)
                .collect(Collectors.joining(" · "));
    }

    /** In capitals, as kinds of files are called. */
    private static String ending(String file) {
        return file.substring(file.lastIndexOf('.') + 1).toUpperCase(Locale.ROOT);
    }

    /**
     * What an automatic level came to.
     *
     * @param again the key that takes an offered one
     */
    public static String words(Finding finding, String again) {
        String tilt = degrees(finding.tilt().degrees());
        if (finding.offered()) {
            return Words.of("bench.auto.offered", tilt, percentSure(finding), again);
        }
        return finding.accepted()
                ? Words.of(
                        "bench.auto.found",
                        tilt,
                        percentSure(finding),
                        finding.lines().size())
                : refused(finding);
    }

    /** Why an automatic level was refused. */
    public static String refused(Finding finding) {
        return Words.of("bench.auto.refused", Words.of(finding.refusal().orElseThrow()), percentSure(finding));
    }

    private static long percentSure(Finding finding) {
        return Math.round(finding.confidence() * 100);
    }

    /** With a tenth of a percent. */
    public static String percent(double part) {
        return Words.of("desk.percent", Words.number("%.1f", 100 * part));
    }

    public static String pixels(double pixels) {
        return Words.number("%.1f", pixels);
    }

    public static String degrees(double value) {
        double hundredths = Math.round(value * 100) / 100.0 + 0.0; // no −0.00
        return Words.number(hundredths == 0 ? "%.2f" : "%+.2f", hundredths);
    }
}
