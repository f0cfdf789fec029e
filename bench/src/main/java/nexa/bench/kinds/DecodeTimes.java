package nexa.bench.kinds;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.imaging.apart.decoder.Decoders;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.apart.decoder.Refusal;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Reduction;

/** Decoding the files of a folder in this process and apart, the best of several. */
public final class DecodeTimes {
    private static final int TIMES = 5;
    private static final double USUAL_BRIGHTNESS = 0.4;
    private static final List<Reduction> REDUCTIONS = List.of(Reduction.NONE, Reduction.HALF, Reduction.EIGHTH);

    private DecodeTimes() {}

    public static void run(Path folder) throws IOException {
        Decoders.load();
        Decoders decoders = new Decoders();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.sorted().toList()) {
                if (PhotoCodecs.STANDARD.developed(file) instanceof Probe.Readable(PhotoFacts facts)) {
                    for (Reduction reduction : REDUCTIONS) {
                        time(decoders, file, facts, reduction);
                    }
                }
            }
        }
    }

    private static void time(Decoders decoders, Path file, PhotoFacts facts, Reduction reduction) throws IOException {
        Optional<Kind> kind = kind(facts);
        double here = Double.POSITIVE_INFINITY;
        double apart = Double.POSITIVE_INFINITY;
        for (int i = 0; i < TIMES; i++) {
            long begun = System.nanoTime();
            PhotoCodecs.STANDARD.open(file, facts, reduction).close();
            apart = Math.min(apart, (System.nanoTime() - begun) / 1e6);
            if (kind.isPresent()) {
                here = Math.min(here, here(decoders, kind.get(), file, reduction));
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%-24s %-10s %-8s %8.0f ms%s%n",
                file.getFileName(),
                facts.kind(),
                reduction,
                apart,
                kind.isEmpty()
                        ? ""
                        : String.format(
                                Locale.ROOT, ", in the process %.0f ms: %+.0f %%", here, 100 * (apart / here - 1)));
    }

    private static double here(Decoders decoders, Kind kind, Path file, Reduction reduction) throws IOException {
        long begun = System.nanoTime();
        try {
            decoders.decode(kind, file, reduction.factor(), USUAL_BRIGHTNESS, pixels -> {});
        } catch (Refusal refused) {
            throw new IOException(refused);
        }
        return (System.nanoTime() - begun) / 1e6;
    }

    /** Empty for what is decoded in the process anyway. */
    private static Optional<Kind> kind(PhotoFacts facts) {
        return switch (facts.kind()) {
            case HEIF -> Optional.of(Kind.HEIF);
            case JPEG_2000 -> Optional.of(Kind.JPEG_2000);
            case JPEG_XL -> Optional.of(Kind.JPEG_XL);
            case RAW_DATA -> Optional.of(Kind.RAW);
            case JPEG, PNG, TIFF, WEBP, BMP, RAW, OTHER -> Optional.empty();
        };
    }
}
