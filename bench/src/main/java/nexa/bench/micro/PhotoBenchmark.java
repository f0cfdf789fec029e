package nexa.bench.micro;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import nexa.core.brief.Framing;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.print.SizeTarget;
import nexa.core.space.Pose;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.PhotoFacts;
import nexa.imaging.pixels.Decoder;
import nexa.imaging.pixels.Picture;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.preview.PreviewMaker;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.handover.Handover;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Outcome;
import nexa.shoot.handover.RunControl;
import nexa.shoot.handover.request.HandoverRequest;
import nexa.shoot.photo.Photo;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** Work on 24-megapixel JPEGs. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 3)
@Measurement(iterations = 4, time = 4)
@Fork(1)
public class PhotoBenchmark {
    private static final List<String> PHOTOS =
            List.of("kiln_0201.jpg", "kiln_0205.jpg", "kiln_0214.jpg", "kiln_0221.jpg");

    private TemporaryShoot temporary;
    private Shoot shoot;
    private Path file = Path.of("");
    private PhotoFacts facts;

    @SuppressWarnings("NullAway.Init")
    public PhotoBenchmark() {}

    @Setup
    public void makeShoot() throws IOException {
        temporary = TemporaryShoot.of(PHOTOS);
        shoot = temporary.shoot();
        Pose pose = new Pose(Turn.NONE, new Tilt(2.3));
        for (Photo photo : shoot.photos()) {
            shoot.apply(Edit.framing("edit.tilt", photo.id(), Framing.UNTOUCHED, Framing.UNTOUCHED.withPose(pose)));
        }
        file = shoot.fileOf(shoot.photos().getFirst());
        facts = shoot.photos().getFirst().facts().orElseThrow();
    }

    @TearDown(Level.Trial)
    public void deleteShoot() throws IOException {
        temporary.close();
    }

    @Benchmark
    public int decodeWhole() throws IOException {
        try (Picture picture = Decoder.decode(file, Reduction.NONE)) {
            return picture.size().width();
        }
    }

    /** What the Wall needs of one photo the first time it is shown. */
    @Benchmark
    public int previewForTheWall() throws IOException {
        try (Picture picture = new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts, 512)) {
            return picture.toRaster().width();
        }
    }

    /** What the Bench needs of one photo the first time it is shown. */
    @Benchmark
    public int previewForTheBench() throws IOException {
        try (Picture picture = new PreviewMaker(PhotoCodecs.STANDARD).picture(file, facts, 1280)) {
            return picture.toRaster().width();
        }
    }

    /** Four photos: tilt 2.3°, 4:5, 2048 pixels on the long edge, JPEG 92, on all cores, with EXIF and safe writing. */
    @Benchmark
    public long handoverOfFour() throws IOException {
        Path out = Files.createTempDirectory(temporary.base(), "out");
        HandoverRequest request = new HandoverRequest(
                out,
                shoot.brief().formats().stream()
                        .map(format -> format.sized(new SizeTarget.LongEdge(2048)))
                        .toList());
        List<Outcome> outcomes = new Handover(HandoverPlan.of(shoot, request), told -> {}, new RunControl()).run(shoot);
        return outcomes.stream().filter(Outcome.Written.class::isInstance).count();
    }
}
