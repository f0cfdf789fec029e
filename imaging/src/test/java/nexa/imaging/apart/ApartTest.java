package nexa.imaging.apart;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertInstanceOf;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import nexa.core.geometry.PixelSize;
import nexa.imaging.RawMaker;
import nexa.imaging.Tools;
import nexa.imaging.apart.decoder.Kind;
import nexa.imaging.apart.raw.Demosaic;
import nexa.imaging.apart.raw.Development;
import nexa.imaging.file.Trouble;
import nexa.imaging.pixels.Reduction;
import nexa.imaging.pixels.UnreadablePhotoException;
import nexa.imaging.system.SystemLibrary;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;

/** A process apart that ends, hangs or is refused takes nothing with it. */
class ApartTest {
    private static final Duration LONG = Duration.ofSeconds(60);
    private static final PixelSize SIZE = new PixelSize(64, 48);

    @TempDir
    Path folder;

    private Path raw;

    @BeforeEach
    void makeRaw() throws IOException {
        assumeTrue(SystemLibrary.raw().isPresent(), "LibRaw is not installed");
        raw = Files.write(folder.resolve("a.dng"), RawMaker.of(64, 48).bytes((x, y) -> new double[] {x, y, 0.5}));
    }

    private Order order() {
        return new Order.OfSensor(raw);
    }

    private static void assertSize(Answer answer) {
        Answer.Done done = assertInstanceOf(Answer.Done.class, answer);
        assertEquals(SIZE, new PixelSize(done.width(), done.height()));
    }

    @Test
    void process_answersOneOrderAfterTheOther() throws IOException {
        try (DecoderProcess process = DecoderProcess.start(false)) {
            assertSize(process.ask(order(), LONG));
            Order missing = new Order.OfSensor(folder.resolve("none.dng"));
            assertEquals(
                    Trouble.Kind.READ_FAILED,
                    assertInstanceOf(Answer.Refused.class, process.ask(missing, LONG))
                            .kind());
            assertSize(process.ask(order(), LONG));
        }
    }

    @Test
    void cacheThatFitsNoMore_isPassedOver() throws IOException {
        Path broken = Files.writeString(folder.resolve("decoders.aot"), "made of another program");
        System.setProperty(DecoderProgram.CACHE, broken.toString());
        try (DecoderProcess process = DecoderProcess.start(false)) {
            assertSize(process.ask(order(), LONG));
        } finally {
            System.clearProperty(DecoderProgram.CACHE);
        }
    }

    /** As Linux says it: the nineteenth word of what is known of a process. */
    @Test
    void patientProcess_leavesTheProcessorsToOthers() throws IOException {
        assumeTrue(Files.isDirectory(Path.of("/proc/self")), "Linux alone says so");
        try (DecoderProcess patient = DecoderProcess.start(true);
                DecoderProcess usual = DecoderProcess.start(false)) {
            assertSize(patient.ask(order(), LONG));
            assertTrue(niceness(patient) >= niceness(usual) + 5);
        }
    }

    private static int niceness(DecoderProcess process) throws IOException {
        String said = Files.readString(
                Path.of("/proc", String.valueOf(process.handle().pid()), "stat"));
        return Integer.parseInt(said.substring(said.lastIndexOf(')') + 2).split(" ")[16]);
    }

    @Test
    @Timeout(60)
    void processThatHangs_isEnded() throws IOException {
        Tools.need("kill");
        try (DecoderProcess process = DecoderProcess.start(false)) {
            Tools.run("kill", "-STOP", process.handle().pid());
            assertThrows(DecoderProcess.TooSlowException.class, () -> process.ask(order(), Duration.ofMillis(200)));
            process.handle().onExit().orTimeout(30, TimeUnit.SECONDS).join();
            assertFalse(process.isAlive());
        }
    }

    @Test
    void processThatEnded_isReplaced() throws Exception {
        Apart apart = new Apart(new DecoderPool(1, false), new DecoderPool(1, false));
        List<ProcessHandle> before = ProcessHandle.current().children().toList();
        assertEquals(SIZE, apart.sensor(raw).size());
        List<ProcessHandle> started = ProcessHandle.current()
                .children()
                .filter(child -> !before.contains(child))
                .toList();
        assertEquals(1, started.size());
        started.getFirst().destroyForcibly();
        started.getFirst().onExit().get(30, TimeUnit.SECONDS);
        assertEquals(SIZE, apart.sensor(raw).size());
    }

    @Test
    void manyAtOnce_waitForTheFewProcesses() {
        Apart apart = new Apart(new DecoderPool(2, false), new DecoderPool(1, false));
        IntStream.range(0, 12).parallel().forEach(unused -> {
            try (var picture = apart.develop(raw, SIZE, new Development(Demosaic.ADAPTIVE, 0))
                    .picture()) {
                assertEquals(SIZE, picture.size());
            } catch (UnreadablePhotoException refused) {
                throw new AssertionError(refused);
            }
        });
    }

    @Test
    void fileOfAnotherKind_isRefused_andLeavesNothingBehind() throws IOException {
        Path text = Files.writeString(folder.resolve("a.txt"), "no picture at all");
        Apart apart = new Apart(new DecoderPool(1, false), new DecoderPool(1, false));
        for (Kind kind : Kind.values()) {
            UnreadablePhotoException refused =
                    assertThrows(UnreadablePhotoException.class, () -> apart.decode(text, kind, SIZE, Reduction.NONE));
            assertTrue(
                    List.of(Trouble.Kind.DAMAGED, Trouble.Kind.UNSUPPORTED, Trouble.Kind.JPEG_XL)
                            .contains(refused.trouble().kind()),
                    kind + ": " + refused.trouble());
        }
    }
}
