package nexa.shoot.paper;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import nexa.core.brief.Format;
import nexa.core.geometry.Frame;
import nexa.core.paper.Paper;
import nexa.core.print.SizeTarget;
import nexa.core.told.Told;
import nexa.shoot.Shoot;
import nexa.shoot.TestShoot;
import nexa.shoot.guard.WriteGuard.IfTaken;
import nexa.shoot.handover.RunControl;
import nexa.shoot.paper.PaperJob.Printed;
import nexa.shoot.photo.Photo;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class PaperPdfTest {
    private static final float PPI = 254;
    private static final double PIXELS_PER_MILLIMETRE = PPI / 25.4;

    @TempDir
    Path base;

    private TestShoot test;
    private Path file;

    @BeforeEach
    void photos() throws IOException {
        test = new TestShoot(base);
        file = base.resolve("sheet.pdf");
        for (int i = 1; i <= 7; i++) {
            test.photo("kiln_0" + i + ".jpg", i == 3 ? 400 : 600, i == 3 ? 600 : 400);
        }
        Files.writeString(test.folder().resolve("broken.jpg"), "no photo");
    }

    private static List<String> lines(PDDocument pdf) throws IOException {
        return new PDFTextStripper().getText(pdf).lines().map(String::strip).toList();
    }

    private static long count(List<String> lines, String part) {
        return lines.stream().filter(line -> line.contains(part)).count();
    }

    @Test
    void contactSheet_ofAFormat_showsAllWithNamesAndStates() throws IOException {
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Format square = TestShoot.addFormat(shoot, "Square Ω 猫", "1:1");
            TestShoot.place(shoot, TestShoot.photo(shoot, "kiln_01.jpg"), print, TestShoot.WISH);
            Printed printed = new ContactSheet(file, List.of(print, square), false, Paper.A4.page(false, 10), 4)
                    .write(shoot, IfTaken.REFUSE, (done, of) -> {}, new RunControl(), Told::toString);
            assertEquals(2, printed.pages());
            assertEquals(14, printed.pictures());
            assertEquals(List.of(), printed.troubles());
        }
        try (PDDocument pdf = Loader.loadPDF(file.toFile())) {
            assertEquals(2, pdf.getNumberOfPages());
            List<String> lines = lines(pdf);
            String all = String.join("\n", lines);
            assertEquals(1, count(lines, "state.placed · "), all);
            assertTrue(all.contains("told.paper.shaped (Print, "), "said in the user's language: " + all);
            assertEquals(2, count(lines, "kiln_07"), all);
            assertEquals(2, count(lines, "broken"), all);
            assertTrue(all.contains("Square Ω ?"), all);
        }
    }

    @Test
    void contactSheet_byPhoto_hasARowForEachWithAllFormats() throws IOException {
        try (Shoot shoot = test.open()) {
            List<Format> formats = List.of(
                    TestShoot.addFormat(shoot, "Print", "4:5"),
                    TestShoot.addFormat(shoot, "Square", "1:1"),
                    TestShoot.addFormat(shoot, "Banner", "16:9"));
            Printed printed = new ContactSheet(file, formats, true, Paper.LETTER.page(true, 8), 9)
                    .write(shoot, IfTaken.REFUSE, (done, of) -> {}, new RunControl(), Told::toString);
            assertEquals(21, printed.pictures());
            assertEquals(1, printed.pages());
        }
        try (PDDocument pdf = Loader.loadPDF(file.toFile())) {
            List<String> lines = lines(pdf);
            assertEquals(1, count(lines, "kiln_07.jpg · Banner"), String.join("\n", lines));
        }
    }

    /** Seen by another program's eyes: marks where it is cut, picture up to the bleed, white beyond. */
    @Test
    void printSheet_hasTheSizeTheBleedAndTheMarks() throws IOException {
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "5:3").sized(SizeTarget.parse("100 x 60 mm at 254 ppi"));
            Photo first = TestShoot.photo(shoot, "kiln_01.jpg");
            TestShoot.place(shoot, first, print, new Frame(0, 0, 0.9, 0.54));
            Printed printed = new PrintSheet(file, List.of(print), Paper.A4.page(false, 10), 2, true)
                    .write(shoot, IfTaken.REFUSE, (done, of) -> {}, new RunControl(), Told::toString);
            assertEquals(7, printed.pictures());
            assertEquals(2, printed.pages());
        }
        try (PDDocument pdf = Loader.loadPDF(file.toFile())) {
            BufferedImage page = new PDFRenderer(pdf).renderImageWithDPI(0, PPI);
            // of the first print, turned so that more go on the sheet: 60 wide, 100 high, behind margin, marks and
            // bleed
            double left = 10 + 5 + 2;
            double top = 10 + 5 + 2;
            assertTrue(isDark(page, left, top - 2 - 1 - 2) && isDark(page, left + 60, top - 5), "marks above");
            assertTrue(isDark(page, left - 5, top) && isDark(page, left - 5, top + 100), "marks at the left");
            assertFalse(isWhite(page, left + 1, top + 1) || isWhite(page, left - 1.5, top - 1.5), "picture and bleed");
            assertTrue(isWhite(page, left - 2.6, top + 30) && isWhite(page, left + 20, top - 2.6), "beyond the bleed");
            // the scene's red grows to the right, which is now downwards
            assertTrue(color(page, left + 20, top + 95).getRed()
                    > color(page, left + 20, top + 5).getRed() + 60);
        }
    }

    private static Color color(BufferedImage page, double x, double y) {
        return new Color(
                page.getRGB((int) Math.floor(x * PIXELS_PER_MILLIMETRE), (int) Math.floor(y * PIXELS_PER_MILLIMETRE)));
    }

    private static boolean isWhite(BufferedImage page, double x, double y) {
        return color(page, x, y).equals(Color.WHITE);
    }

    /** A hairline may fall on either of two pixels. */
    private static boolean isDark(BufferedImage page, double x, double y) {
        for (double dx = -0.1; dx <= 0.1; dx += 0.1) {
            for (double dy = -0.1; dy <= 0.1; dy += 0.1) {
                if (color(page, x + dx, y + dy).getRed() < 160) {
                    return true;
                }
            }
        }
        return false;
    }

    @Test
    void printSheet_tellsWhatItCantHold() throws IOException {
        try (Shoot shoot = test.open()) {
            Format web = TestShoot.addFormat(shoot, "Web", "1:1");
            Format poster = TestShoot.addFormat(shoot, "Poster", "2:3").sized(SizeTarget.parse("60 x 90 cm"));
            Printed printed = new PrintSheet(file, List.of(web, poster), Paper.A4.page(false, 10), 3, true)
                    .write(shoot, IfTaken.REFUSE, (done, of) -> {}, new RunControl(), Told::toString);
            assertEquals(0, printed.pages());
            assertEquals(8, printed.troubles().size(), printed.troubles()::toString);
            assertFalse(Files.exists(file));
        }
    }

    @Test
    void cancelled_writesNothing() throws IOException {
        RunControl control = new RunControl();
        try (Shoot shoot = test.open()) {
            Format print = TestShoot.addFormat(shoot, "Print", "4:5");
            Printed printed = new ContactSheet(file, List.of(print), false, Paper.A4.page(false, 10), 4)
                    .write(shoot, IfTaken.REFUSE, (done, of) -> control.cancel(), control, Told::toString);
            assertTrue(printed.cancelled());
            assertFalse(Files.exists(file));
        }
    }
}
