package nexa.desktop.window.batch;

import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;

/** A hundred photos, horizontal and vertical mixed, and where a person sees their subjects. */
final class MixedHundred {
    private static final int PHOTOS = 100;
    private static final Path REAL_TRUTH = Path.of("..", "bench", "truth", "subjects.csv");

    /** Those of the demo that are not stored as they are shown. */
    private static final Set<String> TURNED = Set.of("kiln_0215.jpg", "kiln_0216.jpg", "kiln_0217.jpg");

    /** Of the width: what is missing at the left of photos that are cut. */
    private static final double CUT_OFF = 0.06;

    private final Path shoot;
    private final Map<String, Frame> subjects = new HashMap<>();
    private int photos;

    private MixedHundred(Path shoot) {
        this.shoot = shoot;
    }

    /** The demo's photos, then the same mirrored, then cut at the left. */
    static MixedHundred ofDemo(Path demo, Path shoot) throws IOException {
        MixedHundred hundred = new MixedHundred(shoot);
        Map<String, Frame> truth = demoTruth(demo.resolveSibling("truth.csv"));
        List<String> names;
        try (var files = Files.list(demo)) {
            names = files.map(file -> file.getFileName().toString())
                    .filter(name -> name.endsWith(".jpg"))
                    .sorted()
                    .toList();
        }
        for (String name : names) {
            hundred.copy(demo.resolve(name), Optional.ofNullable(truth.get(name)));
        }
        List<String> upright =
                names.stream().filter(name -> !TURNED.contains(name)).toList();
        for (String name : upright) {
            hundred.mirrored(demo.resolve(name), Optional.ofNullable(truth.get(name)));
        }
        for (String name : upright) {
            hundred.cut(demo.resolve(name), Optional.ofNullable(truth.get(name)));
        }
        return hundred;
    }

    /** The first hundred of a folder's photographs that a person looked at. */
    static MixedHundred ofReal(Path folder, Path shoot) throws IOException {
        MixedHundred hundred = new MixedHundred(shoot);
        List<String> lines = Files.readAllLines(REAL_TRUTH);
        for (String line : lines.subList(1, lines.size())) {
            String[] cells = line.split(",", -1);
            Path photo = folder.resolve(cells[0] + ".jpg");
            if (Files.exists(photo)) {
                BufferedImage size = ImageIO.read(photo.toFile());
                hundred.copy(
                        photo,
                        cells[1].isEmpty()
                                ? Optional.empty()
                                : Optional.of(scaled(cells, 1, size.getWidth(), size.getHeight())));
            }
        }
        return hundred;
    }

    /** In the photos' pixels, by their names; of photos without a subject there is none. */
    Map<String, Frame> subjects() {
        return subjects;
    }

    private boolean isFull() {
        return photos == PHOTOS;
    }

    private void copy(Path photo, Optional<Frame> subject) throws IOException {
        if (!isFull()) {
            String name = photo.getFileName().toString();
            Files.copy(photo, shoot.resolve(name));
            known(name, subject);
        }
    }

    private void mirrored(Path photo, Optional<Frame> subject) throws IOException {
        BufferedImage whole = ImageIO.read(photo.toFile());
        int width = whole.getWidth();
        write(
                "m_",
                photo,
                whole,
                width,
                width,
                -width,
                subject.map(box -> new Frame(width - box.centreX(), box.centreY(), box.width(), box.height())));
    }

    private void cut(Path photo, Optional<Frame> subject) throws IOException {
        BufferedImage whole = ImageIO.read(photo.toFile());
        int off = (int) (CUT_OFF * whole.getWidth());
        write(
                "c_",
                photo,
                whole,
                whole.getWidth() - off,
                -off,
                whole.getWidth(),
                subject.map(box -> Frame.between(
                        new Point(Math.max(0, box.left() - off), box.top()),
                        new Point(box.right() - off, box.bottom()))));
    }

    /** Draws the picture from a place on, so many pixels wide, negative for mirrored. */
    private void write(
            String prefix, Path photo, BufferedImage whole, int width, int from, int wide, Optional<Frame> subject)
            throws IOException {
        if (!isFull()) {
            BufferedImage drawn = new BufferedImage(width, whole.getHeight(), BufferedImage.TYPE_INT_RGB);
            Graphics2D pen = drawn.createGraphics();
            pen.drawImage(whole, from, 0, wide, whole.getHeight(), null);
            pen.dispose();
            String name = prefix + photo.getFileName();
            ImageIO.write(drawn, "jpg", shoot.resolve(name).toFile());
            known(name, subject);
        }
    }

    private void known(String name, Optional<Frame> subject) {
        photos++;
        subject.ifPresent(box -> subjects.put(name, box));
    }

    private static Map<String, Frame> demoTruth(Path file) throws IOException {
        Map<String, Frame> boxes = new HashMap<>();
        List<String> lines = Files.readAllLines(file);
        int left = List.of(lines.getFirst().split(",")).indexOf("subject_left");
        for (String line : lines.subList(1, lines.size())) {
            String[] cells = line.split(",", -1);
            if (!cells[left].isEmpty()) {
                boxes.put(cells[0], scaled(cells, left, 1, 1));
            }
        }
        return boxes;
    }

    /** The box of four cells. */
    private static Frame scaled(String[] cells, int left, double width, double height) {
        return Frame.between(
                new Point(Double.parseDouble(cells[left]) * width, Double.parseDouble(cells[left + 1]) * height),
                new Point(Double.parseDouble(cells[left + 2]) * width, Double.parseDouble(cells[left + 3]) * height));
    }
}
