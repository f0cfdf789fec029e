package nexa.desktop.bench.layer;

import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.scene.text.TextAlignment;
import nexa.core.brief.Why;
import nexa.core.geometry.Frame;
import nexa.core.overlay.OverlayChoice;
import nexa.core.review.Warning;
import nexa.core.space.PhotoSpace;
import nexa.desktop.camera.BenchLane;
import nexa.desktop.paint.DrawnWords;
import nexa.desktop.paint.LevelView;
import nexa.desktop.picture.StrokeMemo;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Looks;
import nexa.shoot.photo.Photo;
import nexa.words.Words;

/** The line of words below the photo. */
record BenchCaptions(
        Session session, StrokeMemo memo, DrawnWords text, Optional<BenchFill.Look> fill, Optional<String> proof) {
    private static final double APART = 24;

    /**
     * Below the photo: what it is on the left, how it is framed on the right; or, what its proof shows.
     *
     * @param hint what is waited for, instead of how it is framed
     */
    void draw(Photo photo, Optional<String> hint, Optional<Double> zoom) {
        PhotoSpace space = session.space().orElseThrow();
        BenchLane lane = new BenchLane(
                text.getWidth(),
                text.getHeight(),
                session.settings().neighboursProperty().get());
        LevelView fitting = lane.current(space);
        double half = fitting.scale() * space.extent().width() / 2;
        double middle = fitting.originX() + fitting.scale() * space.extent().centreX();
        String closer =
                zoom.map(factor -> " · " + Math.round(factor * 100) + " %").orElse("");
        boolean overPhoto = zoom.isPresent() || reachesDown(space, fitting);
        if (proof.isPresent()) {
            text.caption(proof.get(), middle, TextAlignment.CENTER, overPhoto);
            return;
        }
        String what = Words.name(photo.name()) + " · " + space.upright();
        String right = hint.orElseGet(this::framed);
        boolean room = needed(what + colours(photo) + closer, right, overPhoto) < 2 * half;
        String left = what + (room ? colours(photo) : "") + closer;
        boolean both = room || hint.isEmpty();
        double reach = both ? Math.max(half, reach(needed(left, right, overPhoto), middle)) : half;
        if (both) {
            text.caption(left, middle - reach, TextAlignment.LEFT, overPhoto);
        }
        text.caption(right, middle + reach, TextAlignment.RIGHT, overPhoto);
    }

    private static double needed(String left, String right, boolean overPhoto) {
        return DrawnWords.captionWidth(left, overPhoto) + APART + DrawnWords.captionWidth(right, overPhoto);
    }

    /** How far to each side of a narrow photo's middle both go without meeting, as far as the Bench does. */
    private double reach(double needed, double middle) {
        return Math.min(needed / 2, Math.min(middle, text.getWidth() - middle));
    }

    /** How the file's colours are read; the Wall says it too. */
    private String colours(Photo photo) {
        return photo.facts()
                .map(facts -> Looks.words(facts, session.shoot().companion(photo)))
                .filter(words -> !words.isEmpty())
                .map(words -> " · " + words)
                .orElse("");
    }

    /** Whether a corner of the tilted photo lies where the captions are. */
    private boolean reachesDown(PhotoSpace space, LevelView view) {
        return space.edge().corners().stream()
                .anyMatch(corner -> view.toScreen(corner).y() > text.getHeight() - DrawnWords.CAPTION_ROOM);
    }

    private String framed() {
        return session.frame()
                .map(frame -> warningWords().orElseGet(() -> Stream.of(whyWords(), overlayWords(frame))
                        .flatMap(Optional::stream)
                        .collect(Collectors.joining(" · "))))
                .orElseGet(() -> Words.of("bench.noformat"));
    }

    /** Why a frame lies there that nobody placed and that is not from the middle. */
    private Optional<String> whyWords() {
        return session.moment()
                .why()
                .filter(why -> !(why instanceof Why.Placed || why instanceof Why.Centred))
                .map(Words::of);
    }

    private Optional<String> warningWords() {
        if (session.frameEdits().showsBlank()) {
            return Optional.of(Words.of(fill.map(BenchFill.Look::words).orElse("bench.blank")));
        }
        Set<Warning> warnings = session.moment().warnings();
        return warnings.isEmpty() ? Optional.empty() : Optional.of("⚠ " + Looks.words(warnings));
    }

    private Optional<String> overlayWords(Frame frame) {
        OverlayChoice choice = session.overlayProperty().get();
        int count = memo.count(
                choice,
                frame.aspect(),
                session.settings().overlayOptionsProperty().get());
        return choice.overlay()
                .map(overlay -> count == 1
                        ? Words.of(overlay)
                        : Words.of(
                                "bench.overlay",
                                Words.of(overlay),
                                Math.floorMod(choice.orientation(), count) + 1,
                                count));
    }
}
