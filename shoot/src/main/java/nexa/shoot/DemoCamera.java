package nexa.shoot;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A make-believe camera on a cable: drops photos into a folder one by one, each first written in part, as a card reader
 * or a cable does.
 */
public final class DemoCamera implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(DemoCamera.class);
    private static final double FIRST_PART = 0.4;

    private final List<Path> photos;
    private final Path folder;
    private final Duration between;
    private final Thread thread;

    private DemoCamera(List<Path> photos, Path folder, Duration between) {
        this.photos = List.copyOf(photos);
        this.folder = folder;
        this.between = between;
        this.thread = Thread.ofPlatform().name("nexa-demo-camera").daemon().unstarted(this::run);
    }

    /**
     * Begins to drop.
     *
     * @param between from one photo to the next; a third of it each file is there in part
     */
    public static DemoCamera start(List<Path> photos, Path folder, Duration between) {
        DemoCamera camera = new DemoCamera(photos, folder, between);
        camera.thread.start();
        return camera;
    }

    private void run() {
        try {
            for (Path photo : photos) {
                Thread.sleep(between.multipliedBy(2).dividedBy(3));
                drop(photo);
            }
        } catch (InterruptedException stopped) { // it is switched off
            LOG.debug("The demo camera is off");
        } catch (IOException failed) {
            LOG.warn("The demo camera stops", failed);
        }
    }

    private void drop(Path photo) throws IOException, InterruptedException {
        byte[] bytes = Files.readAllBytes(photo);
        int part = (int) (bytes.length * FIRST_PART);
        Path target = folder.resolve(photo.getFileName());
        try (OutputStream out = Files.newOutputStream(target, StandardOpenOption.CREATE_NEW)) {
            out.write(bytes, 0, part);
            out.flush();
            Thread.sleep(between.dividedBy(3));
            out.write(bytes, part, bytes.length - part);
        }
    }

    /** Waits until all are dropped. */
    public void join() throws InterruptedException {
        thread.join();
    }

    @Override
    public void close() {
        thread.interrupt();
    }
}
