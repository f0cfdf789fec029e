package nexa.shoot.handover;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import nexa.core.geometry.PixelSize;
import nexa.imaging.codec.OpenedPhoto;
import nexa.imaging.codec.PhotoCodecs;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * How much a run will write, from a few of its files made in memory, and how much room there is.
 *
 * @param bytes of all files, about
 * @param free on the disk that they go to
 */
public record Estimate(long bytes, long free) {
    private static final Logger LOG = LoggerFactory.getLogger(Estimate.class);

    /** Of each format. */
    private static final int SAMPLES = 2;

    /** Whether it will hardly fit. */
    public boolean isTight() {
        return bytes > free;
    }

    /**
     * Blocks while it makes samples; those that can't be made count nothing, as their files will not come about either.
     *
     * @param outdated asked before each; what comes back then means nothing
     * @throws IOException if the disk can't be asked
     */
    public static Estimate of(HandoverPlan plan, PhotoCodecs codecs, BooleanSupplier outdated) throws IOException {
        Map<Integer, List<Delivery>> byFormat = new HashMap<>();
        for (Delivery delivery : plan.deliveries()) {
            byFormat.computeIfAbsent(delivery.format().id(), id -> new ArrayList<>())
                    .add(delivery);
        }
        double bytes = 0;
        for (List<Delivery> deliveries : byFormat.values()) {
            double pixels =
                    deliveries.stream().mapToDouble(each -> pixels(each.size())).sum();
            bytes += pixels * bytesPerPixel(deliveries, codecs, outdated);
        }
        return new Estimate(Math.round(bytes), free(plan.request().folder()));
    }

    private static double pixels(PixelSize size) {
        return (double) size.width() * size.height();
    }

    private static double bytesPerPixel(List<Delivery> deliveries, PhotoCodecs codecs, BooleanSupplier outdated) {
        double bytes = 0;
        double pixels = 0;
        for (Delivery delivery : Delivery.samples(deliveries, SAMPLES)) {
            if (outdated.getAsBoolean()) {
                break;
            }
            try (OpenedPhoto photo = Decoding.open(codecs, List.of(delivery))) {
                bytes += Sum.ofWriting(Rendering.file(delivery, photo, note -> {}), OutputStream.nullOutputStream())
                        .bytes();
                pixels += pixels(delivery.size());
            } catch (IOException unmade) {
                LOG.debug("No sample of {}", delivery.source(), unmade);
            }
        }
        return pixels == 0 ? 0 : bytes / pixels;
    }

    /** Of the disk on which the folder is or will be. */
    private static long free(Path folder) throws IOException {
        Path there = folder;
        while (!Files.exists(there) && there.getParent() != null) {
            there = there.getParent();
        }
        return Files.getFileStore(there).getUsableSpace();
    }
}
