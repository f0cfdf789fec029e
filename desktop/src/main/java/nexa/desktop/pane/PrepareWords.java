package nexa.desktop.pane;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.desktop.review.Preparing.Item;
import nexa.shoot.prepare.Prepared;
import nexa.shoot.prepare.Step;
import nexa.shoot.prepare.Step.Decision;
import nexa.words.Words;

/** What is proposed for a photo, in words. */
final class PrepareWords {
    private PrepareWords() {}

    /** A line for each part, the doubtful ones first. */
    static String of(Item item) {
        return Stream.of(Decision.OFFER, Decision.ACCEPT)
                .flatMap(decision -> steps(item).filter(step -> step.is(decision)))
                .map(PrepareWords::line)
                .collect(Collectors.joining("\n"));
    }

    /** In one line. */
    static String brief(Item item) {
        return steps(item)
                .filter(step -> step.is(Decision.ACCEPT))
                .map(step -> Words.of("prepare.brief." + key(step), degrees(step)))
                .collect(Collectors.joining(" · "));
    }

    private static Stream<Step> steps(Item item) {
        return Optional.of(item).flatMap(Item::prepared).map(Prepared::steps).stream()
                .flatMap(List::stream);
    }

    private static String line(Step step) {
        String kind = step.is(Decision.OFFER) ? ".doubtful" : ".sure";
        return Words.of("prepare." + key(step) + kind, degrees(step), Math.round(100 * step.confidence()));
    }

    private static String degrees(Step step) {
        return Words.number("%+.1f°", step.amount());
    }

    private static String key(Step step) {
        return step.part().name().toLowerCase(Locale.ROOT);
    }
}
