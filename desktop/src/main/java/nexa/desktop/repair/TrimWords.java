package nexa.desktop.repair;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.trim.FoundSide;
import nexa.core.trim.Side;
import nexa.core.trim.TrimFinding;
import nexa.core.trim.TrimRefusal;
import nexa.desktop.widget.Numbers;
import nexa.words.Words;

/** What was found of a photo's borders, in words. */
public final class TrimWords {
    private TrimWords() {}

    public static String of(Trimming.Verdict verdict) {
        return switch (verdict) {
            case Trimming.Verdict.Searching() -> Words.of("trim.searching");
            case Trimming.Verdict.Failed() -> Words.of("trim.unreadable");
            case Trimming.Verdict.Split(int pieces) ->
                pieces > 1 ? Words.of("trim.split", pieces) : Words.of("trim.split.none");
            case Trimming.Verdict.ClosedUp(int bands) ->
                bands > 0 ? Words.of("trim.closed", bands) : Words.of("trim.closed.none");
            case Trimming.Verdict.Found(TrimFinding finding) -> of(finding);
        };
    }

    public static String of(TrimFinding finding) {
        if (!finding.isProposed()) {
            return Words.of("trim.nothing", refusal(finding.refusal().orElse(TrimRefusal.NO_BORDER)));
        }
        String evidence = evidence(finding);
        return finding.refusal()
                .map(refusal -> Words.of("trim.found.refused", refusal(refusal), evidence))
                .orElseGet(() -> evidence);
    }

    private static String refusal(TrimRefusal refusal) {
        return Words.of("trim.refusal", refusal);
    }

    /** Depths, colour, evenness, lean: what the finding rests on. */
    private static String evidence(TrimFinding finding) {
        String sides = Stream.of(Side.values())
                .filter(finding.sides()::containsKey)
                .map(side -> Words.of("trim.edge", Words.of("trim.side", side), tenths(depth(finding.sides(), side))))
                .collect(Collectors.joining(" · "));
        List<String> more = Stream.of(
                        finding.trim().lean().isNone()
                                ? ""
                                : Words.of(
                                        "trim.lean",
                                        tenths(finding.trim().lean().degrees())),
                        finding.trim().round() > 0 ? Words.of("trim.round") : "")
                .filter(words -> !words.isEmpty())
                .toList();
        String border = finding.sides().values().stream()
                .findFirst()
                .map(TrimWords::border)
                .orElse("");
        String found = Stream.concat(Stream.of(border), more.stream()).collect(Collectors.joining(" · "));
        return Words.of("trim.found", Words.of("trim.edges", sides), found, Math.round(100 * finding.confidence()));
    }

    private static double depth(Map<Side, FoundSide> sides, Side side) {
        FoundSide found = sides.get(side);
        return found == null ? 0 : found.depth();
    }

    private static String border(FoundSide side) {
        if (side.isTransparent()) {
            return Words.of("trim.border.transparent");
        }
        return Words.of(side.soft() ? "trim.border.soft" : "trim.border", colour(side), tenths(side.unevenness()));
    }

    private static String colour(FoundSide side) {
        if (side.isBlack()) {
            return Words.of("trim.colour.black");
        }
        return side.isWhite()
                ? Words.of("trim.colour.white")
                : Words.of(
                        "trim.colour.other",
                        String.format(Locale.ROOT, "#%02x%02x%02x", side.red(), side.green(), side.blue()));
    }

    private static String tenths(double value) {
        return Numbers.text(value, 1);
    }
}
