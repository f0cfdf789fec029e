package nexa.bench.micro;

import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.space.PhotoSpace;
import nexa.imaging.colour.Profile;
import nexa.imaging.fill.FilledRaster;
import nexa.imaging.neutral.PictureLight;
import nexa.imaging.pixels.Raster;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.preview.Preview;
import nexa.imaging.preview.ScreenColours;
import nexa.shoot.Shoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.handover.Delivery;
import nexa.shoot.handover.HandoverPlan;
import nexa.shoot.handover.Rendering;
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

/** How a 24-megapixel photo's frame with a tenth of blank will look, from the surroundings: as the Bench asks for it. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 3)
@Measurement(iterations = 4, time = 4)
@Fork(1)
public class FillBenchmark {
    private static final int LONG_EDGE = 1100;

    private TemporaryShoot temporary;
    private Shoot shoot;
    private Delivery delivery;
    private Raster shown;

    @SuppressWarnings("NullAway.Init")
    public FillBenchmark() {}

    @Setup
    public void makeShoot() throws IOException {
        temporary = TemporaryShoot.of(List.of("kiln_0230.jpg"));
        shoot = temporary.shoot();
        Photo photo = shoot.photos().getFirst();
        Format format = shoot.brief().formats().getFirst();
        Crop roomy = new Crop(new Frame(0, -0.07, 0.83, 0.664), Optional.empty(), true, false)
                .withFill(Optional.of(new Fill.Surroundings()));
        shoot.apply(
                Edit.framing("edit.room", photo.id(), Framing.UNTOUCHED, Framing.UNTOUCHED.withCrop(format, roomy)));
        delivery = HandoverPlan.sample(shoot, photo, format);
        try (Preview preview =
                shoot.previewMaker().make(shoot.fileOf(photo), photo.facts().orElseThrow(), LONG_EDGE)) {
            shown = preview.raster(ScreenColours.SRGB);
        }
    }

    @TearDown(Level.Trial)
    public void deleteShoot() throws IOException {
        temporary.close();
    }

    /** Soon after the last change, of the picture that the Bench shows. */
    @Benchmark
    public double draft() {
        PhotoSpace space = shoot.space(delivery.photo()).orElseThrow();
        return FilledRaster.draft(
                        shown, space, delivery.frame(), delivery.fill(), LONG_EDGE, PictureLight.of(Profile.SRGB))
                .seam()
                .share();
    }

    /** The same where it shows none yet. */
    @Benchmark
    public double draftOfTheFile() throws UnreadablePhotoException {
        return Rendering.look(shoot.codecs(), delivery, LONG_EDGE, true).blank();
    }

    /** As it will be delivered. */
    @Benchmark
    public double exact() throws UnreadablePhotoException {
        return Rendering.look(shoot.codecs(), delivery, LONG_EDGE, false).blank();
    }
}
