package nexa.bench.delivery;

import static org.bytedeco.opencv.global.opencv_core.PSNR;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import nexa.bench.base.LargePhotos;
import nexa.bench.base.Peer;
import nexa.core.geometry.Tilt;
import nexa.core.space.Pose;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.shoot.Locations;
import nexa.shoot.Shoot;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.Handover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Outcome;
import nexa.shoot.handover.RunControl;

/**
 * Handovers of photos of 24 megapixels, tilted, 4:5, of two sizes, against the limit (the JPEG library's own tools decoding the
 * same files and encoding pictures of the same size on all cores) and against libvips.
 */
public final class HandoverTimes {
    private static final int PHOTOS = 100;
    private static final int COMPARED = 10;

    private HandoverTimes() {}

    /** @param count of photos; 0 = the usual number */
    public static void run(int count) throws IOException {
        int photos = count > 0 ? count : PHOTOS;
        for (int longEdge : Deliveries.LONG_EDGES) {
            System.out.printf(Locale.ROOT, "%d photos to %d pixels:%n", photos, longEdge);
            run(LargePhotos.folder(photos), longEdge, Files.createTempDirectory("nexa-handover"));
        }
    }

    private static void run(Path photos, int longEdge, Path own) throws IOException {
        try (Shoot shoot = Shoot.open(photos, new Locations(own.resolve("data"), own.resolve("cache")))) {
            Deliveries.hold(shoot, HandoverTimes::tilted);
            HandoverPlan plan = Deliveries.plan(shoot, Files.createDirectory(own.resolve("ours")), longEdge);
            double ours = ours(shoot, plan);
            HandoverPeers peers = new HandoverPeers(plan, own);
            peers.limit()
                    .ifPresent(limit ->
                            say("share of the limit (decoding and encoding alone: " + rate(limit) + ")", ours / limit));
            peers.commandLine(Files.createDirectory(own.resolve("commands")))
                    .ifPresent(rate -> say("over libvips' command line, " + rate(rate), ours / rate));
            Path theirs = Files.createDirectory(own.resolve("pipeline"));
            OptionalDouble pipeline = peers.pipeline(theirs);
            if (pipeline.isPresent()) {
                say("over libvips in one pipeline, " + rate(pipeline.getAsDouble()), ours / pipeline.getAsDouble());
                System.out.printf(
                        Locale.ROOT, "lowest PSNR of %d pairs: %.1f dB%n", COMPARED, lowestPsnr(plan, theirs));
            }
        }
    }

    private static Pose tilted(Pose pose) {
        return pose.withTilt(new Tilt(HandoverPeers.TILT));
    }

    private static double ours(Shoot shoot, HandoverPlan plan) throws IOException {
        long begun = System.nanoTime();
        List<Outcome> outcomes = new Handover(plan, outcome -> {}, new RunControl()).run(shoot);
        double ours = outcomes.size() / ((System.nanoTime() - begun) / 1e9);
        long written =
                outcomes.stream().filter(Outcome.Written.class::isInstance).count();
        System.out.printf(
                Locale.ROOT,
                "Nexa: %d files, %s, process %d MB at its largest%n",
                written,
                rate(ours),
                Peer.peakOf(ProcessHandle.current().pid()) / 1024);
        return ours;
    }

    private static void say(String what, double ratio) {
        System.out.printf(Locale.ROOT, "%.2f %s%n", ratio, what);
    }

    private static String rate(double aSecond) {
        return String.format(Locale.ROOT, "%.2f a second", aSecond);
    }

    private static double lowestPsnr(HandoverPlan plan, Path theirs) throws IOException {
        double lowest = Double.MAX_VALUE;
        for (int i = 0; i < COMPARED; i++) {
            Delivery delivery = plan.deliveries().get(i * plan.deliveries().size() / COMPARED);
            try (Picture ours = Decoder.decode(delivery.output(), Reduction.NONE);
                    Picture other =
                            Decoder.decode(theirs.resolve(delivery.output().getFileName()), Reduction.NONE)) {
                lowest = Math.min(lowest, PSNR(ours.mat(), other.mat()));
            }
        }
        return lowest;
    }
}
