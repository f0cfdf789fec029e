package nexa.bench.base;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/**
 * Many 24-megapixel JPEGs as cameras write them, each with an EXIF thumbnail: the demo photos, enlarged, with grain.
 * They stay in a folder for the next run; each file has its number behind its end, so that no two are the same.
 */
public final class LargePhotos {
    private LargePhotos() {}

    /** The folder with so many photos, made as far as they are missing. */
    public static Path folder(int count) throws IOException {
        Path folder = Files.createDirectories(base().resolve("photos-" + count));
        List<Path> models = models(Integer.MAX_VALUE);
        for (int i = 0; i < count; i++) {
            Path file = folder.resolve("p%05d.jpg".formatted(i));
            if (!Files.exists(file)) {
                byte[] model = Files.readAllBytes(models.get(i % models.size()));
                byte[] numbered = Arrays.copyOf(model, model.length + Integer.BYTES);
                for (int b = 0; b < Integer.BYTES; b++) {
                    numbered[model.length + b] = (byte) (i >> 8 * b);
                }
                Files.write(file, numbered);
            }
        }
        return folder;
    }

    static Path base() throws IOException {
        return Files.createDirectories(Path.of(System.getProperty("java.io.tmpdir"), "nexa-bench"));
    }

    /** So many of them at most, each made of another demo photo. */
    static List<Path> models(int most) throws IOException {
        Path folder = Files.createDirectories(base().resolve("models"));
        List<Path> models = new ArrayList<>();
        List<Future<?>> making = new ArrayList<>();
        try (ExecutorService pool =
                Executors.newFixedThreadPool(Runtime.getRuntime().availableProcessors())) {
            for (Path photo : SmallPhotos.demoPhotos().stream().limit(most).toList()) {
                Path model = folder.resolve(photo.getFileName());
                models.add(model);
                if (!Files.exists(model)) {
                    making.add(pool.submit(() -> {
                        LargePhoto.write(photo.getFileName().toString(), model);
                        return model;
                    }));
                }
            }
            for (Future<?> made : making) {
                made.get();
            }
        } catch (InterruptedException | java.util.concurrent.ExecutionException failed) {
            throw new IOException("The large photos can't be made", failed);
        }
        return models;
    }
}
