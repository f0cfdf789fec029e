package nexa.bench.kinds;

import static org.bytedeco.opencv.global.opencv_core.CV_16UC;
import static org.bytedeco.opencv.global.opencv_core.CV_8UC;
import static org.bytedeco.opencv.global.opencv_imgproc.COLOR_RGB2BGR;
import static org.bytedeco.opencv.global.opencv_imgproc.cvtColor;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import nexa.imaging.apart.Apart;
import nexa.imaging.apart.decoder.Decoders;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.apart.decoder.Pixels;
import nexa.imaging.apart.decoder.Refusal;
import nexa.imaging.apart.decoder.StillDecoder;
import nexa.imaging.apart.raw.Demosaic;
import nexa.imaging.apart.raw.Development;
import nexa.imaging.apart.raw.RawDecoder;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Reduction;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.opencv.opencv_core.Mat;

/** Decoding the files of a folder in this process and apart, the best of several. */
public final class DecodeTimes {
    private static final int TIMES = 5;
    private static final double USUAL_BRIGHTNESS = 0.4;
    private static final List<Reduction> REDUCTIONS = List.of(Reduction.NONE, Reduction.HALF, Reduction.EIGHTH);

    private DecodeTimes() {}

    public static void run(Path folder) throws IOException {
        Decoders.load();
        InProcess decoders = InProcess.made();
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

    /** @param raw empty where LibRaw is not installed */
    private record InProcess(Decoders coded, Optional<RawDecoder> raw) {
        static InProcess made() {
            try {
                return new InProcess(new Decoders(), Optional.of(new RawDecoder()));
            } catch (Refusal missing) { // then raw files are of no kind that is timed
                return new InProcess(new Decoders(), Optional.empty());
            }
        }
    }

    private static void time(InProcess decoders, Path file, PhotoFacts facts, Reduction reduction) throws IOException {
        Optional<Ways> ways = ways(decoders, file, facts, reduction);
        double opened = Double.POSITIVE_INFINITY;
        double here = Double.POSITIVE_INFINITY;
        double apart = Double.POSITIVE_INFINITY;
        for (int i = 0; i < TIMES; i++) {
            opened = Math.min(opened, milliseconds(() -> PhotoCodecs.STANDARD
                    .open(file, facts, reduction)
                    .close()));
            if (ways.isPresent()) {
                here = Math.min(here, milliseconds(() -> here(ways.get().here())));
                apart = Math.min(
                        apart,
                        milliseconds(() -> ways.get().apart().decode().picture().close()));
            }
        }
        System.out.printf(
                Locale.ROOT,
                "%-24s %-10s %-8s %8.0f ms%s%n",
                file.getFileName(),
                facts.kind(),
                reduction,
                opened,
                ways.isEmpty()
                        ? ""
                        : String.format(
                                Locale.ROOT,
                                ", pixels apart %.0f ms, in the process %.0f ms: %+.0f %%",
                                apart,
                                here,
                                100 * (apart / here - 1)));
    }

    /** Something that takes time. */
    @FunctionalInterface
    private interface Work {
        void run() throws IOException;
    }

    private static double milliseconds(Work work) throws IOException {
        long begun = System.nanoTime();
        work.run();
        return (System.nanoTime() - begun) / 1e6;
    }

    /** What would be done if the decoders ran in the process: the same pixels, turned round like those from apart. */
    private static void here(Here decoding) throws IOException {
        try {
            decoding.decode(DecodeTimes::turnRound);
        } catch (Refusal refused) {
            throw new IOException(refused);
        }
    }

    private static void turnRound(Pixels pixels) {
        int type = pixels.bits() == 16 ? CV_16UC(pixels.channels()) : CV_8UC(pixels.channels());
        long length = pixels.stride() * (pixels.height() - 1) + pixels.row();
        try (BytePointer bytes = new BytePointer(
                        pixels.memory().asSlice(pixels.start(), length).asByteBuffer());
                Mat decoded = new Mat(pixels.height(), pixels.width(), type, bytes, pixels.stride());
                Mat turned = new Mat()) {
            if (pixels.channels() == 3) {
                cvtColor(decoded, turned, COLOR_RGB2BGR);
            } else {
                decoded.copyTo(turned);
            }
        }
    }

    /** Decoding in this process. */
    @FunctionalInterface
    private interface Here {
        void decode(StillDecoder.Taker taker) throws IOException, Refusal;
    }

    /** Decoding in another. */
    @FunctionalInterface
    private interface There {
        Apart.Decoded decode() throws IOException;
    }

    private record Ways(Here here, There apart) {}

    /** Empty for what is decoded in the process anyway. */
    private static Optional<Ways> ways(InProcess decoders, Path file, PhotoFacts facts, Reduction reduction) {
        return switch (facts.kind()) {
            case HEIF -> Optional.of(coded(decoders.coded, Kind.HEIF, file, facts, reduction));
            case JPEG_2000 -> Optional.of(coded(decoders.coded, Kind.JPEG_2000, file, facts, reduction));
            case JPEG_XL -> Optional.of(coded(decoders.coded, Kind.JPEG_XL, file, facts, reduction));
            case RAW_DATA -> decoders.raw.map(raw -> raw(raw, file, facts, reduction));
            case JPEG, PNG, TIFF, WEBP, BMP, RAW, OTHER -> Optional.empty();
        };
    }

    private static Ways coded(Decoders decoders, Kind kind, Path file, PhotoFacts facts, Reduction reduction) {
        return new Ways(
                taker -> decoders.decode(kind, file, reduction.factor(), taker),
                () -> Apart.SHARED.decode(file, kind, facts.decoded(), reduction));
    }

    private static Ways raw(RawDecoder decoder, Path file, PhotoFacts facts, Reduction reduction) {
        Development development =
                new Development(reduction == Reduction.NONE ? Demosaic.ADAPTIVE : Demosaic.CELLS, USUAL_BRIGHTNESS);
        return new Ways(
                taker -> decoder.develop(file, development, taker),
                () -> Apart.SHARED.develop(file, facts.decoded(), development));
    }
}
