package nexa.desktop.model;

import nexa.core.plumb.PlumbFinding;
import nexa.core.plumb.Standing;
import nexa.desktop.model.Plumbing.Verdict;
import nexa.desktop.widget.Looks;
import nexa.words.Words;

/** What looking for a photo's uprights came to, in words. */
public final class PlumbWords {
    private PlumbWords() {}

    public static String of(Verdict verdict) {
        return switch (verdict) {
            case Verdict.Searching() -> Words.of("bench.auto.searching");
            case Verdict.Failed() -> Words.of("bench.auto.unreadable");
            case Verdict.Found(PlumbFinding finding) -> of(finding);
        };
    }

    private static String of(PlumbFinding finding) {
        Standing standing = finding.standing();
        return finding.refusal()
                .map(refusal -> Words.of("plumb.refused", Words.of("plumb.refusal", refusal)))
                .orElseGet(() -> Words.of(
                        "plumb.found",
                        Looks.degrees(standing.plumb().pitch()),
                        Looks.degrees(standing.plumb().yaw()),
                        Looks.degrees(standing.tilt().degrees()),
                        Math.round(100 * finding.confidence()),
                        finding.lines().size()));
    }
}
