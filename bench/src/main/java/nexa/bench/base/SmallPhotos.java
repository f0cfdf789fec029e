package nexa.bench.base;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.deliver.Encoder;
import nexa.imaging.file.Probe;
import nexa.imaging.pixels.Picture;
import nexa.imaging.preview.PreviewMaker;

/** Many small files with the demo photos' pictures. */
public final class SmallPhotos {
    private static final int LONG_EDGE = 240;

    private SmallPhotos() {}

    /** So many photos, no two files the same: each has its number behind its end. */
    public static void write(Path folder, int count) throws IOException {
        List<byte[]> pictures = new ArrayList<>();
        for (Path photo : demoPhotos()) {
            Probe.Readable probe = (Probe.Readable) PhotoCodecs.STANDARD.probe(photo);
            try (Picture small = new PreviewMaker(PhotoCodecs.STANDARD).picture(photo, probe.facts(), LONG_EDGE)) {
                pictures.add(Encoder.plainJpeg(small, 85));
            }
        }
        for (int i = 0; i < count; i++) {
            byte[] picture = pictures.get(i % pictures.size());
            byte[] numbered = Arrays.copyOf(picture, picture.length + 2);
            numbered[picture.length] = (byte) i;
            numbered[picture.length + 1] = (byte) (i >> 8);
            Files.write(folder.resolve("p%05d.jpg".formatted(i)), numbered);
        }
    }

    /** One of them, with a number behind its end. */
    public static void one(Path file, int number) throws IOException {
        Path photo = demoPhotos().getFirst();
        Probe.Readable probe = (Probe.Readable) PhotoCodecs.STANDARD.probe(photo);
        try (Picture small = new PreviewMaker(PhotoCodecs.STANDARD).picture(photo, probe.facts(), LONG_EDGE)) {
            byte[] picture = Encoder.plainJpeg(small, 85);
            byte[] numbered = Arrays.copyOf(picture, picture.length + 4);
            java.nio.ByteBuffer.wrap(numbered).putInt(picture.length, number);
            Files.write(file, numbered);
        }
    }

    /** The demo shoot's photos, in order. */
    public static List<Path> demoPhotos() throws IOException {
        Path demo = Path.of(System.getProperty("nexa.home", "."), "demo", "fennick-kiln");
        try (Stream<Path> files = Files.list(demo)) {
            return files.filter(file -> file.toString().endsWith(".jpg"))
                    .sorted()
                    .toList();
        }
    }
}
