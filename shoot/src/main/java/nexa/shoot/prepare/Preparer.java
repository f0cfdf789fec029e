package nexa.shoot.prepare;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import nexa.core.brief.Framing;
import nexa.core.lens.Lens;
import nexa.core.lens.LensUse;
import nexa.core.lens.data.LensMatch;
import nexa.core.level.Finding;
import nexa.core.level.LevelLine;
import nexa.core.plumb.Plumb;
import nexa.core.plumb.PlumbFinding;
import nexa.core.plumb.Standing;
import nexa.imaging.detect.LineDetector;
import nexa.imaging.detect.SubjectDetector;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Picture;
import nexa.shoot.Shoot;
import nexa.shoot.lens.LensOffer;
import nexa.shoot.lens.Lenses;
import nexa.shoot.level.AutoLeveller;
import nexa.shoot.mark.MarkSuggester;
import nexa.shoot.mark.Suggestion;
import nexa.shoot.photo.Photo;
import nexa.shoot.plumb.AutoPlumber;
import nexa.shoot.prepare.Step.Decision;

/**
 * Looks at a photo once for all that can be proposed. What somebody did by hand is left as it is. Decodes, so not for the
 * interface's thread; changes nothing.
 */
public final class Preparer {
    /** Less changes nothing that one could see. */
    private static final double LEVEL_ALREADY = 0.05;

    private final Shoot shoot;
    private final Lenses lenses;

    public Preparer(Shoot shoot, Lenses lenses) {
        this.shoot = shoot;
        this.lenses = lenses;
    }

    /** @throws IOException if the photo can't be decoded, or lens data can't be read */
    public Prepared look(Photo photo, Framing before) throws IOException {
        PhotoFacts facts = photo.facts().orElseThrow();
        try (Picture picture = shoot.previewMaker().picture(shoot.fileOf(photo), facts, LineDetector.LONG_EDGE)) {
            double scale = (double) facts.asShot().longEdge() / picture.size().longEdge();
            Looking looking = new Looking(before);
            lens(looking, facts);
            List<LevelLine> lines = lines(looking, facts, LineDetector.segments(picture, scale));
            if (before.marks().isEmpty()) {
                MarkSuggester.of(SubjectDetector.find(picture, facts.asShot()))
                        .ifPresent(found -> subject(looking, found));
            }
            return new Prepared(before, looking.steps, looking.sure, looking.all, lines);
        }
    }

    /** What was found so far. */
    private static final class Looking {
        private final List<Step> steps = new ArrayList<>();
        private Framing sure;
        private Framing all;

        Looking(Framing before) {
            sure = before;
            all = before;
        }

        void add(Step step, UnaryOperator<Framing> change) {
            steps.add(step);
            if (step.is(Decision.ACCEPT)) {
                sure = change.apply(sure);
            }
            if (!step.is(Decision.REFUSE)) {
                all = change.apply(all);
            }
        }
    }

    private void lens(Looking looking, PhotoFacts facts) throws IOException {
        if (!looking.sure.pose().lens().equals(Lens.OFF)) {
            return;
        }
        LensOffer offer = lenses.found(facts);
        if (offer.match() instanceof LensMatch.One one && offer.terms().isPresent()) {
            looking.add(
                    new Step(Part.LENS, Decision.ACCEPT, 1, 0),
                    framing -> framing.withPose(framing.pose()
                            .withLens(framing.pose()
                                    .lens()
                                    .measured(
                                            LensUse.FOUND,
                                            one.lens().name(),
                                            offer.terms().get()))));
        }
    }

    /** Level and plumb; what they rest on. */
    private List<LevelLine> lines(Looking looking, PhotoFacts facts, List<LevelLine> segments) throws IOException {
        Framing before = looking.sure;
        boolean byHand = before.level().isPresent() || before.pose().tilt().degrees() != 0;
        if (byHand || !before.pose().plumb().equals(Plumb.NONE)) {
            return List.of();
        }
        Finding finding = AutoLeveller.of(segments, facts.asShot(), before);
        level(looking, finding);
        plumb(looking, AutoPlumber.of(segments, lenses, facts, before));
        return finding.accepted() || finding.offered() ? finding.lines() : List.of();
    }

    private static void level(Looking looking, Finding found) {
        Decision decision = found.accepted() ? Decision.ACCEPT : found.offered() ? Decision.OFFER : Decision.REFUSE;
        if (decision != Decision.REFUSE && Math.abs(found.tilt().degrees()) < LEVEL_ALREADY) {
            return;
        }
        looking.add(
                new Step(Part.LEVEL, decision, found.confidence(), found.tilt().degrees()),
                framing ->
                        framing.withPose(framing.pose().withTilt(found.tilt())).levelledAt(found.tilt()));
    }

    /** A camera held low or high on purpose is no mistake, so uprights are never stood up unasked. */
    private static void plumb(Looking looking, PlumbFinding found) {
        if (found.accepted()) {
            Standing standing = found.standing().before(looking.sure.pose().turn());
            looking.add(
                    new Step(
                            Part.PLUMB,
                            Decision.OFFER,
                            found.confidence(),
                            found.standing().plumb().pitch()),
                    framing -> framing.withPose(
                            framing.pose().withPlumb(standing.plumb()).withTilt(standing.tilt())));
        }
    }

    private static void subject(Looking looking, Suggestion found) {
        looking.add(
                new Step(Part.SUBJECT, found.accepted() ? Decision.ACCEPT : Decision.OFFER, found.confidence(), 0),
                found::on);
    }
}
