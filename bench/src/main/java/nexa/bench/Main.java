package nexa.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import nexa.bench.attack.Attack;
import nexa.bench.attack.Fuzz;
import nexa.bench.attack.Kills;
import nexa.bench.base.MixedPhotos;
import nexa.bench.base.SmallPhotos;
import nexa.bench.delivery.CorrectedTimes;
import nexa.bench.delivery.HandoverTimes;
import nexa.bench.delivery.Sharpness;
import nexa.bench.kinds.ColourTimes;
import nexa.bench.kinds.DecodeTimes;
import nexa.bench.kinds.DemosaicTrial;
import nexa.bench.level.LevelTrial;
import nexa.bench.level.PlumbTrial;
import nexa.bench.repair.FillTrial;
import nexa.bench.repair.RedEyeTrial;
import nexa.bench.repair.TrimTrial;
import nexa.bench.sight.EyeTrial;
import nexa.bench.sight.FluidTrial;
import nexa.bench.sight.FrameTrial;
import nexa.bench.sight.MarkTrial;
import nexa.bench.sight.PrepareTrial;
import nexa.bench.sight.RepeatTrial;
import nexa.shoot.photo.RawPicture;
import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.ChainedOptionsBuilder;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/**
 * Runs all JMH benchmarks, or those whose names contain one of the arguments; or one of those that measure the whole
 * program: {@code frames}, {@code batch}, {@code lineup [COUNT]}, {@code keys [COUNT]}, {@code pictures [COUNT]}, {@code mixed [COUNT]}, {@code memory COUNT}, {@code handover [COUNT]},
 * {@code corrected}, {@code sharpness}, {@code colour}, {@code fuzz [COUNT]}, {@code start}, {@code attack},
 * {@code kills [COUNT]}; or one of the trials on a folder of photographs: {@code trim FOLDER}, {@code fill FOLDER},
 * {@code redeye FOLDER}, {@code level FOLDER}, {@code marks FOLDER}, {@code frames FOLDER}, {@code repeats FOLDER}, {@code eyes FOLDER}, {@code prepare FOLDER}, {@code fluid FOLDER},
 * {@code kinds FOLDER}, {@code demosaic FOLDER}, {@code fuzz FOLDER}, {@code pictures FOLDER}, {@code developed FOLDER}, {@code memory FOLDER}.
 */
public final class Main {
    /** Photos of a mixed shoot. */
    private static final int MIXED = 300;

    private Main() {}

    public static void main(String[] names) throws RunnerException, IOException {
        if (Fuzz.child(names)) {
            return;
        }
        if (names.length > 1 && Files.isDirectory(Path.of(names[1])) && tried(names[0], Path.of(names[1]))
                || names.length > 0 && ran(names[0], names.length > 1 ? count(names[1]) : 0)) {
            return;
        }
        ChainedOptionsBuilder options =
                new OptionsBuilder().jvmArgsAppend("-Dnexa.home=" + System.getProperty("nexa.home", "."));
        if (names.length == 0) {
            options.include("nexa\\.bench\\.");
        }
        for (String name : names) {
            options.include("nexa\\.bench\\..*" + name);
        }
        new Runner(options.build()).run();
    }

    private static int count(String text) {
        try {
            return Integer.parseInt(text);
        } catch (NumberFormatException none) {
            System.err.println(text + " is neither a folder nor a number");
            System.exit(2);
            throw none;
        }
    }

    /** Runs what is tried on a folder of photographs; false if the name is none of these. */
    private static boolean tried(String name, Path folder) throws IOException {
        switch (name) {
            case "trim" -> TrimTrial.run(folder);
            case "fill" -> FillTrial.run(folder);
            case "redeye" -> RedEyeTrial.run(folder);
            case "level" -> LevelTrial.run(folder);
            case "plumb" -> PlumbTrial.run(folder);
            case "marks" -> MarkTrial.run(folder);
            case "frames" -> FrameTrial.run(folder);
            case "eyes" -> EyeTrial.run(folder);
            case "repeats" -> RepeatTrial.run(folder);
            case "prepare" -> PrepareTrial.run(folder);
            case "fluid" -> FluidTrial.run(folder);
            case "fuzz" -> Fuzz.run(folder);
            case "kinds" -> DecodeTimes.run(folder);
            case "demosaic" -> DemosaicTrial.run(folder);
            case "pictures" -> PictureTimes.run(folder, RawPicture.CAMERA);
            case "memory" -> MemoryUse.run(folder);
            case "developed" -> PictureTimes.run(folder, RawPicture.DATA);
            default -> {
                return false;
            }
        }
        return true;
    }

    /** Runs what is not measured by JMH; false if the name is none of these. */
    private static boolean ran(String name, int count) throws IOException {
        switch (name) {
            case "frames" -> FrameTimes.run();
            case "batch" -> BatchTimes.run();
            case "lineup" -> LineupTimes.run(count);
            case "keys" -> KeyTimes.run(count);
            case "pictures" -> PictureTimes.run(count);
            case "mixed" -> PictureTimes.run(MixedPhotos.folder(count == 0 ? MIXED : count), RawPicture.CAMERA);
            case "memory" -> MemoryUse.run(count);
            case "handover" -> HandoverTimes.run(count);
            case "corrected" -> CorrectedTimes.run();
            case "sharpness" -> Sharpness.run();
            case "colour" -> ColourTimes.run(SmallPhotos.demoPhotos().getFirst());
            case "fuzz" -> Fuzz.run(count);
            case "start" -> StartTimes.run();
            case "attack" -> Attack.run();
            case "kills" -> Kills.run(count);
            default -> {
                return false;
            }
        }
        return true;
    }
}
