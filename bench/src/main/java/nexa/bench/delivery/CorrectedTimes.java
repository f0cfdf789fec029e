package nexa.bench.delivery;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import nexa.bench.base.LargePhotos;
import nexa.core.geometry.Tilt;
import nexa.core.lens.Bend;
import nexa.core.lens.Lens;
import nexa.core.lens.LensTerms;
import nexa.core.lens.LensUse;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.White;
import nexa.core.pixel.CornerLight;
import nexa.core.plumb.Plumb;
import nexa.core.space.Correction;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.shoot.handover.Handover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.RunControl;

/** Handovers of photos of 24 megapixels, tilted, 4:5, of two sizes: plain and with what is corrected, in turn. */
public final class CorrectedTimes {
    private static final int PHOTOS = 12;
    private static final int ROUNDS = 5;
    private static final double TILT = 1.3;

    /** About what a zoom lens at its wide end does. */
    private static final LensTerms WIDE_LENS = new LensTerms(
            1 / 3.0,
            new Bend(1.02, 0, -0.03, 0.01, 0),
            new Bend(1.0002, 0, 0, 0, 0),
            new Bend(0.9998, 0, 0, 0, 0),
            Optional.of(new CornerLight(-0.6, 0.2, -0.1)));

    private CorrectedTimes() {}

    public static void run() throws IOException {
        Path own = Files.createTempDirectory("nexa-corrected");
        try (Shoot shoot =
                Shoot.open(LargePhotos.folder(PHOTOS), new Locations(own.resolve("data"), own.resolve("cache")))) {
            for (int longEdge : Deliveries.LONG_EDGES) {
                System.out.printf(Locale.ROOT, "%d pixels:%n", longEdge);
                run(shoot, longEdge, Files.createDirectory(own.resolve(Integer.toString(longEdge))));
            }
        }
    }

    private static void run(Shoot shoot, int longEdge, Path own) throws IOException {
        Map<String, List<Taken>> times = new LinkedHashMap<>();
        for (int round = 0; round <= ROUNDS; round++) {
            for (Map.Entry<String, Correction> kind : kinds().entrySet()) {
                Deliveries.hold(shoot, pose -> pose.withTilt(new Tilt(TILT)).withCorrection(kind.getValue()));
                Taken taken = handedOver(shoot, longEdge, own.resolve(kind.getKey() + round));
                if (round > 0) { // the first one warms up
                    times.computeIfAbsent(kind.getKey(), unused -> new ArrayList<>())
                            .add(taken);
                }
            }
        }
        Taken plain = median(times.values().iterator().next());
        times.forEach((kind, all) -> say(kind, median(all), plain));
    }

    /** What one handover took of the clock and of the processors, seconds. */
    private record Taken(double clock, double processors) {}

    private static void say(String kind, Taken taken, Taken plain) {
        System.out.printf(
                Locale.ROOT,
                "%-7s %2d photos in %5.2f s, %.2f of the plain speed; processors %5.2f s, %.2f%n",
                kind,
                PHOTOS,
                taken.clock,
                plain.clock / taken.clock,
                taken.processors,
                plain.processors / taken.processors);
    }

    private static Map<String, Correction> kinds() {
        Lens lens = Lens.OFF.measured(LensUse.FOUND, "a wide zoom", WIDE_LENS);
        Plumb plumb = Plumb.of(4, 1, 0.75);
        Map<String, Correction> kinds = new LinkedHashMap<>();
        kinds.put("plain", Correction.NONE);
        kinds.put("plumb", Correction.NONE.withPlumb(plumb));
        kinds.put("lens", Correction.NONE.withLens(lens));
        kinds.put("both", new Correction(lens, plumb));
        kinds.put(
                "neutral",
                Correction.NONE.withNeutral(
                        Neutral.AS_FILED.withWhite(White.of(4200, 3)).withStops(0.2)));
        return kinds;
    }

    private static Taken handedOver(Shoot shoot, int longEdge, Path out) throws IOException {
        HandoverPlan plan = Deliveries.plan(shoot, Files.createDirectory(out), longEdge);
        long begun = System.nanoTime();
        double busy = processors();
        new Handover(plan, outcome -> {}, new RunControl()).run(shoot);
        return new Taken((System.nanoTime() - begun) / 1e9, processors() - busy);
    }

    private static double processors() {
        return ProcessHandle.current()
                        .info()
                        .totalCpuDuration()
                        .orElse(Duration.ZERO)
                        .toNanos()
                / 1e9;
    }

    private static Taken median(List<Taken> taken) {
        return taken.stream()
                .sorted(Comparator.comparing(Taken::clock))
                .toList()
                .get(taken.size() / 2);
    }
}
