package nexa.desktop.widget;

import java.util.ArrayList;
import java.util.List;
import nexa.core.lens.data.Camera;
import nexa.core.lens.data.LensMatch;
import nexa.shoot.lens.LensOffer;
import nexa.words.Words;

/** What is known of a photo's lens, in words. */
public final class LensWords {
    private LensWords() {}

    /** The lens, or that there is none. */
    public static String name(LensOffer offer) {
        return name(offer.match());
    }

    public static String name(LensMatch match) {
        return switch (match) {
            case LensMatch.One one -> Words.name(one.lens().name());
            case LensMatch.Several several ->
                Words.of("lens.several.title", several.lenses().size());
            case LensMatch.Nothing nothing -> Words.of("lens.none");
        };
    }

    /** Why this one, and what was assumed. */
    public static String why(LensOffer offer) {
        List<String> parts = new ArrayList<>();
        parts.add(why(offer.match()));
        offer.assumed().stream().sorted().forEach(each -> parts.add(Words.of("lens.assumed", each)));
        return String.join(" · ", parts);
    }

    public static String why(LensMatch match) {
        return switch (match) {
            case LensMatch.One one -> Words.of("lens.why", one.why());
            case LensMatch.Several several -> Words.of("lens.several.ask");
            case LensMatch.Nothing nothing -> Words.of("lens.why", nothing.why());
        };
    }

    /** The camera and its settings, as far as they are known. */
    public static String camera(Camera camera) {
        List<String> parts = new ArrayList<>();
        parts.add(camera.isKnown() ? Words.name(camera.name()) : Words.of("lens.camera.unknown"));
        if (camera.focal() > 0) {
            parts.add(Words.of("lens.camera.focal", number(camera.focal())));
        }
        if (camera.aperture() > 0) {
            parts.add(Words.of("lens.camera.aperture", number(camera.aperture())));
        }
        return String.join(" · ", parts);
    }

    private static String number(double value) {
        return value == Math.rint(value) ? Words.number("%.0f", value) : Words.number("%.1f", value);
    }
}
