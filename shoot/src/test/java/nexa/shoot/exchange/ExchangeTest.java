package nexa.shoot.exchange;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import nexa.core.brief.Alternate;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.eye.GlowingEyes;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Point;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;
import nexa.core.neutral.Neutral;
import nexa.core.neutral.White;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;
import nexa.core.shape.Shape;
import nexa.core.sight.Sight;
import nexa.core.space.Pose;
import nexa.core.told.Told;
import nexa.core.trim.Bands;
import nexa.core.trim.Trim;
import nexa.imaging.file.ToldException;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.FramingChange;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ExchangeTest {
    private static final int PHOTOS = 12;

    @TempDir
    Path base;

    private final Random random = new Random(20_261_125);
    private TestShoot test;
    private Path brief;

    @BeforeEach
    void photos() throws IOException {
        test = new TestShoot(base);
        brief = base.resolve("brief.json");
        for (int i = 1; i <= PHOTOS; i++) {
            test.photo("k" + i + ".jpg", 300 + i, i % 2 == 0 ? 200 : 450);
        }
    }

    /** Whatever can be asked of a photo, on all photos; one stays untouched. */
    private void frame(Shoot shoot) {
        TestShoot.addFormat(shoot, "Gone", "1:1");
        TestShoot.addFormat(shoot, "Print, large", "4:5");
        TestShoot.addFormat(shoot, "\"Any\" é", "free");
        shoot.apply(Edit.brief(
                "edit.brief",
                shoot.brief(),
                shoot.brief().without(shoot.brief().find("Gone").orElseThrow())));
        List<FramingChange> changes = new ArrayList<>();
        for (Photo photo : shoot.photos().subList(1, PHOTOS)) {
            changes.add(new FramingChange(photo.id(), shoot.framing(photo), any(shoot)));
        }
        shoot.apply(new Edit("edit.frame", changes, null));
    }

    private int made;

    private Framing any(Shoot shoot) {
        Framing framing = Framing.UNTOUCHED
                .withPose(new Pose(
                                new Turn(random.nextInt(4), random.nextBoolean()), new Tilt(random.nextDouble(-45, 45)))
                        .withTrim(
                                random.nextBoolean()
                                        ? Trim.NONE
                                        : new Trim(-0.3, -0.2, random.nextDouble(0, 0.4), 1, new Tilt(1.25), 0.01))
                        .withBands(made++ % 2 == 0 ? Bands.NONE : Bands.parse("x 0.1 0.15; y -0.2 -0.18"))
                        .withNeutral(
                                random.nextBoolean()
                                        ? Neutral.AS_FILED
                                        : Neutral.AS_FILED
                                                .picked(
                                                        White.of(random.nextDouble(2500, 9000), 3),
                                                        new Point(0.1, -0.2))
                                                .withStops(random.nextDouble(-1, 1)))
                        .withEyes(
                                random.nextBoolean()
                                        ? GlowingEyes.NONE
                                        : GlowingEyes.parse("red 0.125 -0.25 0.0123 1.0; bright 0.3 0.1 0.02 "
                                                + random.nextDouble())))
                .withSetAside(random.nextInt(5) == 0);
        for (Format format : shoot.brief().formats()) {
            if (random.nextInt(3) > 0) {
                framing = framing.withCrop(format, crop());
            }
            if (random.nextBoolean()) {
                framing = framing.keeping(format, new Alternate("wide; \"far\"", crop()));
            }
        }
        if (random.nextBoolean()) {
            Marks marks = new Marks(List.of(point(), point()));
            framing = framing.withSubject(
                    framing.subject().marked(marks).ruled(Optional.of(new Composition(List.of(point()), 0.7))));
        }
        if (random.nextBoolean()) {
            Sight sight = new Sight(List.of(crop().wish()), Optional.of(crop().wish()), random.nextDouble(-1, 1));
            framing = framing.withSubject(framing.subject().seen(sight));
        }
        if (random.nextBoolean()) {
            framing = framing.levelledAt(new Tilt(random.nextDouble(-10, 10)));
        }
        return random.nextBoolean()
                ? framing.withOverlay(new OverlayChoice(Optional.of(Overlay.GOLDEN_SPIRAL), 3))
                : framing;
    }

    private Crop crop() {
        Frame wish = new Frame(
                random.nextDouble(-0.3, 0.3),
                random.nextDouble(-0.3, 0.3),
                random.nextDouble(0.1, 0.9),
                random.nextDouble(0.1, 0.9));
        Crop crop = new Crop(wish);
        crop = random.nextBoolean() ? crop : crop.withOwnShape(Optional.of(Shape.parse("16:9")));
        crop = random.nextBoolean() ? crop : crop.withOutside(true);
        crop = random.nextBoolean() ? crop : crop.withFill(Optional.of(new Fill.Stretch(0.123)));
        return random.nextBoolean() ? crop : crop.asChecked();
    }

    private Point point() {
        return new Point(random.nextDouble(-0.5, 0.5), random.nextDouble(-0.5, 0.5));
    }

    /** All frames of all photos, and all that was asked for, with formats by name. */
    private static List<Object> all(Shoot shoot) {
        List<Object> all = new ArrayList<>();
        for (Photo photo : shoot.photos()) {
            Framing framing = shoot.framing(photo);
            all.add(photo.file());
            all.add(List.of(framing.pose(), framing.setAside(), framing.subject(), framing.level(), framing.overlay()));
            for (Format format : shoot.brief().formats()) {
                all.add(format.name());
                all.add(framing.crop(format));
                all.add(framing.alternates(format));
                all.add(shoot.frame(photo, format));
            }
        }
        return all;
    }

    private void emptyStore() throws IOException {
        try (var files = Files.walk(test.folder().resolve(".nexa"))) {
            for (Path file : files.sorted((a, b) -> b.compareTo(a)).toList()) {
                Files.delete(file);
            }
        }
    }

    private void readBrief(Shoot shoot) throws IOException {
        shoot.apply(Edit.brief(
                "edit.brief",
                shoot.brief(),
                shoot.brief().withAll(BriefFile.read(brief).formats())));
    }

    @Test
    void sidecarsAndBrief_restoreEveryFrameExactly() throws IOException {
        List<Object> before;
        try (Shoot shoot = test.open()) {
            frame(shoot);
            before = all(shoot);
            new BriefFile("test", shoot.brief().formats()).write(brief, shoot.guard(), IfTaken.REFUSE);
            assertEquals(new Exchanged(PHOTOS - 1, 0, List.of()), Sidecars.write(shoot, photo -> true));
            assertEquals(new Exchanged(0, PHOTOS - 1, List.of()), Sidecars.write(shoot, photo -> true));
            assertFalse(Files.exists(test.folder().resolve("k1.jpg.xmp")), "of a photo that nothing was asked of");
        }
        emptyStore();
        try (Shoot shoot = test.open()) {
            readBrief(shoot);
            assertEquals(
                    new Exchanged(PHOTOS - 1, 0, List.of()),
                    Sidecars.read(shoot).apply());
            assertEquals(before, all(shoot));
            assertEquals(
                    new Exchanged(0, PHOTOS - 1, List.of()),
                    Sidecars.read(shoot).apply());
            shoot.undo();
            assertTrue(shoot.framing(shoot.photos().getLast()).isUntouched(), "all is one step");
        }
    }

    @Test
    void tableAndBrief_restoreEveryFrameExactly() throws IOException {
        List<Object> before;
        Path table = base.resolve("crops.csv");
        try (Shoot shoot = test.open()) {
            frame(shoot);
            before = all(shoot);
            new BriefFile("test", shoot.brief().formats()).write(brief, shoot.guard(), IfTaken.REFUSE);
            assertTrue(CropsTable.write(shoot, table, IfTaken.REFUSE) >= 2 * PHOTOS);
        }
        emptyStore();
        try (Shoot shoot = test.open()) {
            readBrief(shoot);
            assertEquals(List.of(), CropsTable.read(shoot, table).apply().troubles());
            assertEquals(before, all(shoot));
        }
    }

    @Test
    void whatOthersWroteIntoASidecar_stays() throws IOException {
        Path sidecar = test.folder().resolve("k2.jpg.xmp");
        Files.writeString(sidecar, """
                <x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="http://www.w3.org/1999/02/22-rdf-syntax-ns#">
                <rdf:Description rdf:about="" xmlns:xmp="http://ns.adobe.com/xap/1.0/" xmp:Rating="3"/>
                </rdf:RDF></x:xmpmeta>""");
        try (Shoot shoot = test.open()) {
            frame(shoot);
            assertEquals(0, Sidecars.read(shoot).apply().photos(), "a sidecar that says nothing to Nexa");
            Sidecars.write(shoot, photo -> true);
        }
        String text = Files.readString(sidecar);
        assertTrue(text.contains("Rating") && text.contains("centreX"), text);
    }

    @Test
    void brokenSidecars_areToldAndNotWrittenOver() throws IOException {
        byte[] noise = "this is a shopping list".getBytes(StandardCharsets.UTF_8);
        Path sidecar = test.folder().resolve("k2.jpg.xmp");
        Files.write(sidecar, noise);
        try (Shoot shoot = test.open()) {
            frame(shoot);
            Exchanged written = Sidecars.write(shoot, photo -> true);
            assertEquals(PHOTOS - 2, written.photos());
            assertEquals(
                    List.of(Told.of(
                            "told.at", Path.of("k2.jpg.xmp"), Told.of("told.exchange.holds-something-not-xmp"))),
                    written.troubles());
            assertArrayEquals(noise, Files.readAllBytes(sidecar));
            Path other = test.folder().resolve("k3.jpg.xmp");
            Files.writeString(other, Files.readString(other).replaceFirst("tilt>[^<]*<", "tilt>much<"));
            Exchanged read = Sidecars.read(shoot).apply();
            assertEquals(
                    List.of(
                            Told.of("told.at", "k2.jpg.xmp", Told.of("told.exchange.not-xmp")),
                            Told.of("told.at", "k3.jpg.xmp", Told.of("told.exchange.no-number-for", "much", "tilt"))),
                    read.troubles());
        }
    }

    @Test
    void renamedPhoto_isFoundByItsContent_andUnknownFormatsAreTold() throws IOException {
        try (Shoot shoot = test.open()) {
            frame(shoot);
            Sidecars.write(shoot, photo -> true);
        }
        emptyStore();
        Files.move(test.folder().resolve("k5.jpg"), test.folder().resolve("renamed.jpg"));
        Files.delete(test.folder().resolve("k6.jpg"));
        try (Shoot shoot = test.open()) {
            Exchanged read = Sidecars.read(shoot).apply();
            assertTrue(read.troubles().contains(Told.of("told.exchange.photo-not-here", "k6.jpg.xmp")), read::toString);
            assertTrue(
                    read.troubles().stream().anyMatch(told -> told.code().equals("told.exchange.no-format")),
                    read::toString);
            assertFalse(shoot.framing(TestShoot.photo(shoot, "renamed.jpg")).equals(Framing.UNTOUCHED));
        }
    }

    private String refusal(Shoot shoot, String text) {
        return assertThrows(ToldException.class, () -> {
                    Path file = Files.writeString(base.resolve("some.csv"), text);
                    CropsTable.read(shoot, file);
                })
                .told()
                .toString();
    }

    @Test
    void aTableThatIsNone_isRefusedWithWords() throws IOException {
        try (Shoot shoot = test.open()) {
            TestShoot.addFormat(shoot, "Print", "4:5");
            Map.of(
                            "", "no-table-crops-no-columns",
                            "a,b\r\n1,2\r\n", "no-table-crops-no-columns",
                            "photo,format,centreX,photo\r\n1,2,3,4\r\n", "no-table-crops-columns-twice",
                            "photo,\"format\"x,centreX\r\n", "no-table-crops-row (1)",
                            "photo,format,centreX\r\n\"k1.jpg,Print,0.1", "no-table-crops-row (2)",
                            "photo,format,centreX\r\nk1.jpg,Print,0\r\nk1.jpg,\"Print\"x,0", "no-table-crops-row (3)")
                    .forEach((text, why) -> assertEquals("told.exchange." + why, refusal(shoot, text)));
            Path file = Files.writeString(
                    base.resolve("some.csv"),
                    "photo,format,centreX,centreY,width,height,,\r\nk1.jpg,Print,0,0,0.5,wide,,\r\nk99.jpg,Print,0,0,1,1,,\r\n");
            assertEquals(
                    List.of(
                            Told.of("told.exchange.no-photo", "k99.jpg"),
                            Told.of("told.at", "k1.jpg", Told.of("told.exchange.no-number-for", "wide", "height"))),
                    CropsTable.read(shoot, file).apply().troubles());
        }
    }

    // ---- as spreadsheets write it ----

    private Path table(java.util.function.UnaryOperator<String> changed) throws IOException {
        Path table = base.resolve("crops.csv");
        try (Shoot shoot = test.open()) {
            frame(shoot);
            CropsTable.write(shoot, table, IfTaken.REPLACE);
        }
        Files.writeString(table, changed.apply(Files.readString(table)));
        return table;
    }

    private List<Object> readBack(Path table) throws IOException {
        try (Shoot shoot = test.open()) {
            new BriefFile("test", shoot.brief().formats()).write(brief, shoot.guard(), IfTaken.REPLACE);
        }
        emptyStore();
        try (Shoot shoot = test.open()) {
            readBrief(shoot);
            assertEquals(List.of(), CropsTable.read(shoot, table).apply().troubles());
            return all(shoot);
        }
    }

    private List<Object> now() throws IOException {
        try (Shoot shoot = test.open()) {
            return all(shoot);
        }
    }

    @Test
    void tableFromASpreadsheet_withSemicolonsAndDecimalCommas_isRead() throws IOException {
        Path table = table(text -> {
            StringBuilder changed = new StringBuilder("\uFEFF");
            try (var rows = org.apache.commons.csv.CSVFormat.RFC4180.parse(new java.io.StringReader(text))) {
                for (var row : rows) {
                    List<String> cells = new java.util.ArrayList<>();
                    row.forEach(cell -> cells.add('"'
                            + (cell.matches("-?[0-9]+\\.[0-9]+(E-?[0-9]+)?") ? cell.replace('.', ',') : cell)
                                    .replace("\"", "\"\"")
                            + '"'));
                    changed.append(String.join(";", cells)).append("\r\n");
                }
            } catch (IOException failed) {
                throw new java.io.UncheckedIOException(failed);
            }
            return changed.toString();
        });
        List<Object> before = now();
        assertEquals(before, readBack(table));
    }

    @Test
    void tableWithPlainLineEnds_isRead() throws IOException {
        Path table = table(text -> text.replace("\r\n", "\n"));
        List<Object> before = now();
        assertEquals(before, readBack(table));
    }

    @Test
    void namesThatLookLikeFormulas_areNoFormulas_andComeBack() throws IOException {
        for (String name : List.of("=1+2.jpg", "+3.jpg", "-x.jpg", "@home.jpg", "'quoted.jpg")) {
            test.photo(name, 300, 200);
        }
        Path table = table(text -> text);
        String text = Files.readString(table);
        for (String line : text.split("\r\n")) {
            assertFalse(line.matches("[=+@-].*"), line);
        }
        assertTrue(text.contains("\r\n'=1+2.jpg,"), text.substring(0, 300));
        List<Object> before = now();
        assertEquals(before, readBack(table));
    }

    @Test
    void renamedPhoto_isFoundByItsContent() throws IOException {
        Path table = table(text -> text);
        int before = now().size();
        Files.move(test.folder().resolve("k5.jpg"), test.folder().resolve("renamed.jpg"));
        List<Object> after = readBack(table);
        assertEquals(before, after.size());
        try (Shoot shoot = test.open()) {
            assertFalse(shoot.framing(TestShoot.photo(shoot, "renamed.jpg")).equals(Framing.UNTOUCHED));
        }
    }

    /** Sixty megabytes of rows about other photos, and one of a line that does not end. */
    @Test
    void hugeTables_areReadInLittleMemory() throws IOException {
        Path huge = base.resolve("huge.csv");
        try (var out = Files.newBufferedWriter(huge)) {
            out.write("photo,format,centreX,centreY,width,height\n");
            for (int i = 0; i < 1_000_000; i++) {
                out.write("someone-elses-photo-" + i + ".jpg,Print,0.01,0.02,0.5,0.4\n");
            }
        }
        assertTrue(Files.size(huge) > 50_000_000);
        Path endless = base.resolve("endless.csv");
        Files.writeString(endless, "photo,format,centreX\n\"" + "x".repeat(4 << 20));
        try (Shoot shoot = test.open()) {
            assertTrue(CropsTable.read(shoot, huge).apply().troubles().size() <= 500);
            assertThrows(IOException.class, () -> CropsTable.read(shoot, endless));
        }
    }

    @Test
    void briefWithAMark_isRead_andOneOfThousandsIsRefusedAtOnce() throws IOException {
        String format = "{\"name\":\"n%d\",\"shape\":\"4:5\"}";
        String one = "\uFEFF{\"nexaBrief\":1,\"formats\":[" + format.formatted(1) + "]}";
        assertEquals(1, BriefFile.parse(one).formats().size());
        String many = java.util.stream.IntStream.range(0, 20_000)
                .mapToObj(format::formatted)
                .collect(java.util.stream.Collectors.joining(",", "{\"nexaBrief\":1,\"formats\":[", "]}"));
        String refusal =
                assertThrows(IOException.class, () -> BriefFile.parse(many)).getMessage();
        assertTrue(refusal.contains("too-many-formats (200"), refusal);
    }

    // ---- sidecars that follow the edits ----

    @Test
    void sidecars_ofAShootThatAnotherEditsNow_areLeftAsTheyAre() throws Exception {
        Path sidecar = test.folder().resolve("k2.jpg.xmp");
        Shoot old = test.open();
        frame(old);
        old.letOthersEdit();
        try (Shoot newer = test.open()) {
            Sidecars.write(newer, photo -> true);
            String written = Files.readString(sidecar);
            newer.undo();
            Sidecars.write(newer, photo -> true);
            String after = Files.readString(sidecar);
            Exchanged late = Sidecars.write(old, photo -> true);
            assertEquals(0, late.photos());
            assertEquals(1, late.troubles().size());
            assertEquals(after, Files.readString(sidecar));
            assertFalse(written.isEmpty());
        }
        old.close();
        assertEquals(0, Sidecars.write(old, photo -> true).photos(), "nor of one that is closed");
    }
}
