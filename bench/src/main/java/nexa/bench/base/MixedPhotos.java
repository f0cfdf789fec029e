package nexa.bench.base;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import javax.imageio.ImageIO;
import nexa.imaging.RawMaker;

/**
 * A shoot as it comes from two cameras and a telephone: JPEGs of 24 megapixels, pairs of such a JPEG and a raw file of 14
 * bits, HEICs of 12 megapixels, in turn; each holds a small picture. They stay in a folder for the next run.
 */
public final class MixedPhotos {
    private static final int MODELS = 6;
    private static final int KINDS = 3;
    private static final int PHONE_WIDTH = 4032;
    private static final int PHONE_HEIGHT = 2688;

    private MixedPhotos() {}

    /**
     * The folder with so many photos, made as far as they are missing.
     *
     * @throws IOException if there is no {@code heif-enc} here that makes HEICs, among others
     */
    public static Path folder(int count) throws IOException {
        Path folder = Files.createDirectories(LargePhotos.base().resolve("mixed-" + count));
        List<Path> models = LargePhotos.models(MODELS);
        List<Path> phone = new ArrayList<>();
        List<Path> raw = new ArrayList<>();
        for (Path model : models) {
            phone.add(heic(model));
            raw.add(raw(model));
        }
        for (int i = 0; i < count; i++) {
            int model = i / KINDS % MODELS;
            String name = "m%05d".formatted(i);
            if (i % KINDS == 0) {
                copy(phone.get(model), folder.resolve(name + ".heic"), i);
                continue;
            }
            copy(models.get(model), folder.resolve(name + ".jpg"), i);
            if (i % KINDS == 2) {
                copy(raw.get(model), folder.resolve(name + ".dng"), i);
            }
        }
        return folder;
    }

    /** No two are the same: each has its number behind its end, in a box that readers skip. */
    private static void copy(Path model, Path file, int number) throws IOException {
        if (!Files.exists(file)) {
            ByteBuffer end = ByteBuffer.allocate(12)
                    .putInt(12)
                    .put("free".getBytes(StandardCharsets.US_ASCII))
                    .putInt(number);
            Path part = file.resolveSibling("part.tmp");
            Files.copy(model, part, StandardCopyOption.REPLACE_EXISTING);
            Files.write(part, end.array(), StandardOpenOption.APPEND);
            Files.move(part, file);
        }
    }

    private static Path heic(Path model) throws IOException {
        Path made = beside(model, ".heic");
        if (!Files.exists(made)) {
            BufferedImage photo = ImageIO.read(model.toFile());
            File small = File.createTempFile("nexa-phone", ".png");
            try {
                ImageIO.write(scaled(photo, PHONE_WIDTH, PHONE_HEIGHT), "png", small);
                Peer.shell("heif-enc -q 60 -t 320 -o " + made + " " + small);
            } finally {
                Files.delete(small.toPath());
            }
        }
        return made;
    }

    private static Path raw(Path model) throws IOException {
        Path made = beside(model, ".dng");
        if (!Files.exists(made)) {
            BufferedImage photo = ImageIO.read(model.toFile());
            Files.write(
                    made,
                    RawMaker.of(photo.getWidth(), photo.getHeight())
                            .bits(14)
                            .black(512)
                            .preview(Files.readAllBytes(model))
                            .preview(thumbnail(photo))
                            .bytes(RawMaker.of(photo)));
        }
        return made;
    }

    /** As cameras put it in beside the large one. */
    private static byte[] thumbnail(BufferedImage photo) throws IOException {
        ByteArrayOutputStream jpeg = new ByteArrayOutputStream();
        ImageIO.write(scaled(photo, 320, 213), "jpg", jpeg);
        return jpeg.toByteArray();
    }

    private static Path beside(Path model, String end) {
        return model.resolveSibling(model.getFileName().toString().replace(".jpg", end));
    }

    /** Lying or upright as the photo is. */
    private static BufferedImage scaled(BufferedImage photo, int longEdge, int shortEdge) {
        boolean lies = photo.getWidth() >= photo.getHeight();
        int width = lies ? longEdge : shortEdge;
        int height = lies ? shortEdge : longEdge;
        BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = small.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        graphics.drawImage(photo, 0, 0, width, height, null);
        graphics.dispose();
        return small;
    }
}
