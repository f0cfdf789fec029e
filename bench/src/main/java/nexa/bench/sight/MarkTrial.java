package nexa.bench.sight;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.detect.Seen;
import nexa.imaging.detect.SubjectDetector;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.PreviewMaker;

/** Proposed subjects of photographs against what a person sees: how many are right, and what their confidence means. */
public final class MarkTrial {
    private static final int PREVIEW = 400;
    private static final double OVERLAPS = 0.5;
    private static final double[] BANDS = {0, 0.6, 0.75, 0.9, 1.01};

    private record Tried(Path file, Optional<Frame> truth, Seen seen, long nanos) {
        boolean isRight() {
            if (truth.isEmpty()) {
                return seen.subject().isEmpty();
            }
            Frame box = truth.get();
            boolean eyes =
                    !seen.people().isEmpty() && seen.people().stream().allMatch(face -> box.contains(face.middle()));
            return eyes
                    || seen.subject()
                            .filter(found -> found.overlap(box) >= OVERLAPS)
                            .isPresent();
        }

        String verdict() {
            String found = seen.subject().isEmpty() ? "none" : "proposed";
            return found + (isRight() ? "" : truth.isPresent() ? ", WRONG" : ", nothing is there");
        }
    }

    private MarkTrial() {}

    /** @param folder of photographs, those of the truth file among them */
    public static void run(Path folder) throws IOException {
        SubjectTruth truth = SubjectTruth.read();
        PreviewMaker previews = new PreviewMaker(PhotoCodecs.STANDARD);
        List<Tried> all = new ArrayList<>();
        long decoding = 0;
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(truth::knows).sorted().toList()) {
                if (PhotoCodecs.STANDARD.probe(file) instanceof Probe.Readable(PhotoFacts facts)) {
                    long begun = System.nanoTime();
                    Picture preview = previews.picture(file, facts, PREVIEW);
                    decoding += System.nanoTime() - begun;
                    begun = System.nanoTime();
                    Seen seen;
                    try (preview) {
                        seen = SubjectDetector.find(preview, facts.asShot());
                    }
                    Tried tried = new Tried(file, truth.box(file, facts.asShot()), seen, System.nanoTime() - begun);
                    all.add(tried);
                    System.out.printf(
                            Locale.ROOT,
                            "%s: %s, %.2f, marks %s%n",
                            file.getFileName(),
                            tried.verdict(),
                            seen.confidence(),
                            seen.marks().stream().map(Point::toString).toList());
                }
            }
        }
        say(all);
        EyeTruth eyes = EyeTruth.read();
        System.out.printf(
                "both eyes within a tenth of the face: %d of %d faces%n",
                all.stream()
                        .mapToLong(tried -> eyes.found(tried.file(), tried.seen()))
                        .sum(),
                all.stream().mapToLong(tried -> eyes.faces(tried.file())).sum());
        System.out.printf(Locale.ROOT, "%.0f ms to decode a preview%n", decoding / 1e6 / all.size());
    }

    private static void say(List<Tried> all) {
        List<Tried> there =
                all.stream().filter(tried -> tried.truth().isPresent()).toList();
        List<Tried> nothing =
                all.stream().filter(tried -> tried.truth().isEmpty()).toList();
        System.out.printf(
                "a subject is there: %d, right %d, of another thing %d, none proposed %d%n",
                there.size(),
                there.stream().filter(Tried::isRight).count(),
                there.stream()
                        .filter(tried ->
                                !tried.isRight() && tried.seen().subject().isPresent())
                        .count(),
                there.stream().filter(tried -> tried.seen().subject().isEmpty()).count());
        System.out.printf(
                "nothing is there: %d, none proposed %d%n",
                nothing.size(), nothing.stream().filter(Tried::isRight).count());
        for (int band = 0; band + 1 < BANDS.length; band++) {
            double from = BANDS[band];
            double to = BANDS[band + 1];
            List<Tried> in = all.stream()
                    .filter(tried -> tried.seen().subject().isPresent())
                    .filter(tried ->
                            tried.seen().confidence() >= from && tried.seen().confidence() < to)
                    .toList();
            System.out.printf(
                    Locale.ROOT,
                    "confidence %.2f to %.2f: %d of %d right%n",
                    from,
                    to,
                    in.stream().filter(Tried::isRight).count(),
                    in.size());
        }
        System.out.printf(
                Locale.ROOT,
                "%.0f ms a preview%n",
                all.stream().skip(1).mapToLong(Tried::nanos).average().orElse(0) / 1e6);
    }
}
