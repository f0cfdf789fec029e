package nexa.bench;

import static org.bytedeco.opencv.global.opencv_core.PSNR;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.core.geometry.Tilt;
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

/** A handover of 100 photos of 24 megapixels, tilted, 4:5, 2048 pixels, against libvips' command line. */
final class HandoverTimes {
    private static final int PHOTOS = 100;
    private static final double TILT = 2.3;
    private static final int COMPARED = 10;

    private HandoverTimes() {}

    static void run() throws IOException {
        Path own = Files.createTempDirectory("nexa-handover");
        Path folder = LargePhotos.folder(PHOTOS);
        try (Shoot shoot = Shoot.open(folder, new Locations(own.resolve("data"), own.resolve("cache")))) {
            Deliveries.hold(shoot, pose -> pose.withTilt(new Tilt(TILT)));
            HandoverPlan plan = Deliveries.plan(shoot, Files.createDirectory(own.resolve("ours")));
            long begun = System.nanoTime();
            List<Outcome> outcomes = new Handover(plan, outcome -> {}, new RunControl()).run(shoot);
            double ours = outcomes.size() / ((System.nanoTime() - begun) / 1e9);
            long written =
                    outcomes.stream().filter(Outcome.Written.class::isInstance).count();
            say(
                    "Nexa: " + written + " files, " + rate(ours),
                    Peer.peakOf(ProcessHandle.current().pid()));
            if (!Peer.has("vips")) {
                System.out.println("libvips' command line is not installed");
                return;
            }
            Path theirs = Files.createDirectory(own.resolve("theirs"));
            Peer.Taken taken = Peer.shell(script(plan, theirs));
            double vips = PHOTOS / taken.seconds();
            say("libvips' command line: " + rate(vips), taken.peak());
            System.out.printf(Locale.ROOT, "ours over theirs: %.2f%n", ours / vips);
            System.out.printf(Locale.ROOT, "lowest PSNR of %d pairs: %.1f dB%n", COMPARED, lowestPsnr(plan, theirs));
        }
    }

    private static void say(String what, long kilobytes) {
        System.out.printf(Locale.ROOT, "%-60s largest process %d MB%n", what, kilobytes / 1024);
    }

    private static String rate(double aSecond) {
        return String.format(Locale.ROOT, "%.2f a second", aSecond);
    }

    /** Turn, cut, reduce, each a command of its own, as there is none that does all. */
    private static String script(HandoverPlan plan, Path out) {
        List<String> lines = new ArrayList<>();
        Path turned = out.resolve("turned.v");
        Path cut = out.resolve("cut.v");
        for (Delivery delivery : plan.deliveries()) {
            lines.add("vips similarity " + delivery.source() + " " + turned + " --angle " + TILT
                    + " --interpolate bicubic");
            lines.add("vips crop " + turned + " " + cut + " " + cutOf(delivery));
            lines.add("vips resize " + cut + " " + out.resolve(delivery.output().getFileName()) + "[Q="
                    + Deliveries.QUALITY + "] " + scales(delivery));
        }
        return String.join(" && ", lines);
    }

    private static String cutOf(Delivery delivery) {
        PixelSize photo = delivery.photo().facts().orElseThrow().asShot();
        double angle = Math.toRadians(TILT);
        double wide = photo.width() * Math.cos(angle) + photo.height() * Math.sin(angle);
        double high = photo.width() * Math.sin(angle) + photo.height() * Math.cos(angle);
        Frame frame = delivery.frame();
        double edge = photo.longEdge();
        long left = Math.round(wide / 2 + (frame.centreX() - frame.width() / 2) * edge);
        long top = Math.round(high / 2 + (frame.centreY() - frame.height() / 2) * edge);
        return left + " " + top + " " + Math.round(frame.width() * edge) + " " + Math.round(frame.height() * edge);
    }

    private static String scales(Delivery delivery) {
        double edge = delivery.photo().facts().orElseThrow().asShot().longEdge();
        double x =
                delivery.size().width() / (double) Math.round(delivery.frame().width() * edge);
        double y =
                delivery.size().height() / (double) Math.round(delivery.frame().height() * edge);
        return String.format(Locale.ROOT, "%.8f --vscale %.8f", x, y);
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
