package nexa.bench.delivery;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import nexa.bench.base.Peer;
import nexa.core.geometry.Frame;
import nexa.core.geometry.PixelSize;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.HandoverPlan;

/** What other programs need for a plan's deliveries, in photos a second; empty where they are not installed. */
final class HandoverPeers {
    /** By which all photos are turned. */
    static final double TILT = 2.3;

    /** Pictures that are encoded over and over, as unpacked ones of all would fill a disk. */
    private static final int UNPACKED = 8;

    private final HandoverPlan plan;
    private final Path own;

    /** @param own folder for what is written besides the deliveries */
    HandoverPeers(HandoverPlan plan, Path own) {
        this.plan = plan;
        this.own = own;
    }

    /** The JPEG library's tools: every photo decoded, pictures as those delivered encoded, on all cores, nothing kept. */
    OptionalDouble limit() throws IOException {
        if (!Peer.has("djpeg") || !Peer.has("cjpeg")) {
            System.out.println("The JPEG library's tools are not installed");
            return OptionalDouble.empty();
        }
        List<String> commands = new ArrayList<>();
        for (int i = 0; i < UNPACKED && i < plan.deliveries().size(); i++) {
            Peer.shell("djpeg " + plan.deliveries().get(i).output() + " > " + own.resolve(i + ".ppm"));
        }
        for (int i = 0; i < plan.deliveries().size(); i++) {
            commands.add("djpeg " + plan.deliveries().get(i).source());
            commands.add("cjpeg -quality " + Deliveries.QUALITY + " -sample 1x1 "
                    + own.resolve(i % Math.min(UNPACKED, plan.deliveries().size()) + ".ppm"));
        }
        Path list = Files.write(own.resolve("limit.txt"), commands);
        return rate(Peer.shell("xargs -P $(nproc) -d '\\n' -I COMMAND bash -c 'COMMAND > /dev/null' < " + list));
    }

    /** libvips' command line: turn, cut, reduce, each a command of its own, as there is none that does all. */
    OptionalDouble commandLine(Path out) throws IOException {
        if (!Peer.has("vips")) {
            System.out.println("libvips' command line is not installed");
            return OptionalDouble.empty();
        }
        List<String> lines = new ArrayList<>();
        Path turned = out.resolve("turned.v");
        Path cut = out.resolve("cut.v");
        for (Delivery delivery : plan.deliveries()) {
            lines.add("vips similarity " + delivery.source() + " " + turned + " --angle " + TILT
                    + " --interpolate bicubic");
            lines.add("vips crop " + turned + " " + cut + " " + cutOf(delivery, " ", true));
            lines.add("vips resize " + cut + " " + named(delivery, out) + "[Q=" + Deliveries.QUALITY + "] "
                    + across(delivery) + " --vscale " + down(delivery));
        }
        return rate(Peer.shell(String.join(" && ", lines)));
    }

    /** libvips' own functions, a photo in one pipeline, a process for each core. */
    OptionalDouble pipeline(Path out) throws IOException {
        if (!Peer.has("vips") || !Peer.has("python3")) {
            System.out.println("libvips and python3 are not both installed");
            return OptionalDouble.empty();
        }
        Path script = own.resolve("libvips.py");
        try (InputStream in = Objects.requireNonNull(HandoverPeers.class.getResourceAsStream("libvips.py"))) {
            Files.copy(in, script);
        }
        Path jobs = Files.write(
                own.resolve("jobs.txt"),
                plan.deliveries().stream().map(delivery -> job(delivery, out)).toList());
        return rate(Peer.shell("python3 " + script + " " + jobs));
    }

    private static String job(Delivery delivery, Path out) {
        double turn = Math.toRadians(TILT);
        return List.of(
                        delivery.source(),
                        named(delivery, out),
                        Math.cos(turn),
                        Math.sin(turn),
                        cutOf(delivery, "\t", false),
                        across(delivery),
                        down(delivery),
                        Deliveries.QUALITY)
                .stream()
                .map(Object::toString)
                .collect(Collectors.joining("\t"));
    }

    private OptionalDouble rate(Peer.Taken taken) {
        System.out.printf(Locale.ROOT, "%.1f s, largest process %d MB%n", taken.seconds(), taken.peak() / 1024);
        return OptionalDouble.of(plan.deliveries().size() / taken.seconds());
    }

    private static Path named(Delivery delivery, Path out) {
        return out.resolve(delivery.output().getFileName());
    }

    /**
     * Left, top, width and height of a delivery's frame in pixels of the turned photo.
     *
     * @param fromTurned whether places count from the turned photo's own corner, else from where its first pixel went
     */
    private static String cutOf(Delivery delivery, String between, boolean fromTurned) {
        PixelSize photo = delivery.photo().facts().orElseThrow().asShot();
        double cosine = Math.cos(Math.toRadians(TILT));
        double sine = Math.sin(Math.toRadians(TILT));
        double middleX = fromTurned
                ? (photo.width() * cosine + photo.height() * sine) / 2
                : (photo.width() * cosine - photo.height() * sine) / 2;
        double middleY = (photo.width() * sine + photo.height() * cosine) / 2;
        Frame frame = delivery.frame();
        double edge = photo.longEdge();
        return List.of(
                        Math.round(middleX + (frame.centreX() - frame.width() / 2) * edge),
                        Math.round(middleY + (frame.centreY() - frame.height() / 2) * edge),
                        Math.round(frame.width() * edge),
                        Math.round(frame.height() * edge))
                .stream()
                .map(Object::toString)
                .collect(Collectors.joining(between));
    }

    private static String across(Delivery delivery) {
        return scale(delivery.size().width(), delivery.frame().width(), delivery);
    }

    private static String down(Delivery delivery) {
        return scale(delivery.size().height(), delivery.frame().height(), delivery);
    }

    private static String scale(int pixels, double ofFrame, Delivery delivery) {
        double edge = delivery.photo().facts().orElseThrow().asShot().longEdge();
        return String.format(Locale.ROOT, "%.8f", pixels / (double) Math.round(ofFrame * edge));
    }
}
