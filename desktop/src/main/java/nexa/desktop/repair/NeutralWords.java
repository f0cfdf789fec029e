package nexa.desktop.repair;

import nexa.imaging.neutral.GreySpot;
import nexa.imaging.neutral.GreySpot.Doubt;
import nexa.words.Words;

/** What became of touching places of a photo, in words. */
public final class NeutralWords {
    private NeutralWords() {}

    public static String of(Neutrals.Verdict verdict) {
        return switch (verdict) {
            case Neutrals.Verdict.Reading() -> Words.of("neutral.reading");
            case Neutrals.Verdict.Failed() -> Words.of("neutral.unreadable");
            case Neutrals.Verdict.Picked(GreySpot spot) -> of(spot);
        };
    }

    private static String of(GreySpot spot) {
        if (spot.doubt().refuses()) {
            return Words.of("neutral.refused", Words.of("neutral.doubt", spot.doubt()));
        }
        String light = Words.of(
                "neutral.picked",
                Math.round(spot.white().kelvin() / 10) * 10,
                Math.round(spot.white().tint()));
        return spot.doubt() == Doubt.NONE
                ? light
                : Words.of("neutral.doubted", light, Words.of("neutral.doubt", spot.doubt()));
    }

    public static String of(EyeMending.Verdict verdict) {
        return switch (verdict) {
            case EyeMending.Verdict.Searching() -> Words.of("eyes.searching");
            case EyeMending.Verdict.Failed() -> Words.of("neutral.unreadable");
            case EyeMending.Verdict.Found(int eyes) ->
                eyes == 0 ? Words.of("eyes.found.none") : Words.of("eyes.found", eyes);
        };
    }
}
