package nexa.imaging.lens;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import nexa.core.geometry.PixelSize;
import nexa.core.lens.Taken;
import nexa.core.lens.data.Camera;
import nexa.core.lens.data.LensBook;
import nexa.core.lens.data.LensMatch;
import nexa.core.lens.data.LensProfile;
import nexa.imaging.TestPhotos;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.Probe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Lens data in files, and photos whose files tell of lenses. */
class LensFilesTest {
    private static final long SEED = 20_261_125;
    private static final int MUTATIONS = 20_000;

    private static final String OWN = """
            <lensdatabase version="1">
              <mount><name>Kiln D</name><compat>M42</compat></mount>
              <camera><maker>Kiln</maker><model>Kiln 5</model><mount>Kiln D</mount><cropfactor>1.5</cropfactor></camera>
              <lens>
                <maker>Kiln</maker><model>Kiln 24-105mm f/4</model><model lang="de">Kiln Zoom</model>
                <mount>Kiln D</mount><cropfactor>1.5</cropfactor><aspect-ratio>3:2</aspect-ratio>
                <calibration>
                  <distortion model="ptlens" focal="24" a="0.01" b="-0.03" c="0.01"/>
                  <distortion model="poly3" focal="x" k1="1"/>
                  <tca model="poly3" focal="24" vr="1.0002" vb="0.9998"/>
                  <vignetting model="pa" focal="24" aperture="4" distance="10" k1="-0.5" k2="0.1" k3="0"/>
                </calibration>
              </lens>
              <lens><maker>Kiln</maker><model>Nothing</model><cropfactor>none</cropfactor></lens>
            </lensdatabase>
            """;

    @TempDir
    private Path folder;

    private static LensFile read(byte[] bytes) {
        return LensFile.read(new ByteArrayInputStream(bytes));
    }

    @Test
    void entriesThatSayNothingSensible_areLeftOutAndTold_theOthersServe() {
        LensFile file = read(OWN.getBytes(StandardCharsets.UTF_8));
        assertEquals(1, file.cameras().size());
        assertEquals(1, file.lenses().size());
        assertEquals(
                List.of("distortion", "lens"),
                file.leftOut().stream().map(LensFile.LeftOut::what).toList());
        LensProfile lens = file.lenses().getFirst().lens();
        assertEquals(List.of("Kiln 24-105mm f/4", "Kiln Zoom"), lens.models());
        assertEquals(List.of(24.0, 105.0), lens.focals());
        assertEquals(1, file.lenses().getFirst().calibration().distortion().size());
    }

    @Test
    void brokenMarkup_keepsWhatStoodBefore() {
        String half = OWN.substring(0, OWN.indexOf("<lens>")) + "<lens><oops";
        LensFile file = read(half.getBytes(StandardCharsets.UTF_8));
        assertEquals(1, file.cameras().size());
        assertFalse(file.leftOut().isEmpty());
    }

    @Test
    void entities_areNotFollowed() throws IOException {
        Path secret = Files.writeString(folder.resolve("secret"), "Kiln");
        String attack =
                "<!DOCTYPE x [<!ENTITY e SYSTEM \"" + secret.toUri() + "\">]><lensdatabase version=\"1\"><camera>"
                        + "<maker>&e;</maker><model>&e;</model><cropfactor>1</cropfactor></camera></lensdatabase>";
        assertTrue(read(attack.getBytes(StandardCharsets.UTF_8)).cameras().stream()
                .noneMatch(camera -> camera.maker().contains("Kiln")));
    }

    @Test
    void mutations_neverFail() {
        Random random = new Random(SEED);
        byte[] whole = OWN.getBytes(StandardCharsets.UTF_8);
        int told = 0;
        for (int i = 0; i < MUTATIONS; i++) {
            byte[] mutated = whole.clone();
            for (int n = random.nextInt(4); n >= 0; n--) {
                mutated[random.nextInt(mutated.length)] =
                        random.nextBoolean() ? (byte) random.nextInt(256) : whole[random.nextInt(whole.length)];
            }
            LensFile file = read(mutated);
            told += file.leftOut().size() > 2 ? 1 : 0;
            file.lenses().forEach(each -> new LensBook(
                            file.cameras(), List.of(each.lens()), file.compatible(), lens -> each.calibration())
                    .terms(each.lens(), new PixelSize(3000, 2000), each.lens().crop(), new Taken(30, 4, 5)));
        }
        assertTrue(told > MUTATIONS / 20, "what is broken is told of: " + told);
    }

    @Test
    void usersOwnFiles_winOverThoseThatComeWithNexa() throws IOException {
        Files.writeString(
                folder.resolve("mine.xml"),
                OWN.replace("Kiln 24-105mm f/4", "EF24-105mm f/4L IS USM")
                        .replace("Kiln 5", "Canon EOS 6D")
                        .replace("<maker>Kiln", "<maker>Canon"));
        LensData data = LensData.read(folder);
        assertEquals(
                List.of(folder.resolve("mine.xml")), List.copyOf(data.leftOut().keySet()));
        assertEquals(
                1.5, data.book().camera("Canon", "Canon EOS 6D").orElseThrow().crop());
        assertEquals(
                1,
                LensData.read(folder.resolve("none"))
                        .book()
                        .camera("Canon", "Canon EOS 6D")
                        .orElseThrow()
                        .crop(),
                0.02);
    }

    /** Columns: maker, model, lens and focal length as cameras write them; the lens meant, - if there is none, ? to ask. */
    @Test
    void photosOfManyCameras_areMatchedAsTheirFilesTell() throws Exception {
        assumeTrue(hasExiftool(), "exiftool is not installed");
        List<String[]> rows = new ArrayList<>();
        try (InputStream in = LensFilesTest.class.getResourceAsStream("exif.tsv")) {
            new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .forEach(line -> rows.add(line.split("\t", -1)));
        }
        assertTrue(rows.size() > 40);
        StringBuilder csv = new StringBuilder("SourceFile,Make,Model,LensModel,FocalLength,FNumber,SubjectDistance\n");
        for (int i = 0; i < rows.size(); i++) {
            String[] row = rows.get(i);
            Path photo = TestPhotos.jpeg(folder.resolve(i + ".jpg"), 60, 40, 1);
            csv.append(String.format(
                    "%s,%s,%s,%s,%s,4,3%n", photo, quoted(row[0]), quoted(row[1]), quoted(row[2]), row[3]));
        }
        Path table = Files.writeString(folder.resolve("exif.csv"), csv);
        int code = new ProcessBuilder("exiftool", "-q", "-overwrite_original", "-csv=" + table, folder.toString())
                .inheritIO()
                .start()
                .waitFor();
        assertEquals(0, code);
        LensData data = LensData.read(folder.resolve("none"));
        for (int i = 0; i < rows.size(); i++) {
            Probe probe = PhotoCodecs.STANDARD.probe(folder.resolve(i + ".jpg"));
            Camera camera = ((Probe.Readable) probe).facts().camera();
            assertEquals(Double.parseDouble(rows.get(i)[3]), camera.focal(), 0.1);
            assertEquals(3, camera.distance(), 0.01);
            assertEquals(rows.get(i)[4], answer(data.book().find(camera)), camera::toString);
        }
    }

    private static String quoted(String text) {
        return '"' + text + '"';
    }

    private static String answer(LensMatch match) {
        return switch (match) {
            case LensMatch.One one -> one.lens().name();
            case LensMatch.Several several -> "?";
            case LensMatch.Nothing nothing -> "-";
        };
    }

    private static boolean hasExiftool() {
        try {
            return new ProcessBuilder("exiftool", "-ver").start().waitFor() == 0;
        } catch (IOException missing) {
            return false;
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
