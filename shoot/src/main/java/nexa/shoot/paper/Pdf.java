package nexa.shoot.paper;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.List;
import nexa.core.naming.ShownName;
import nexa.core.paper.Box;
import nexa.core.paper.Page;
import nexa.imaging.colour.Profile;
import nexa.shoot.disk.AtomicFile;
import nexa.shoot.guard.WriteGuard;
import nexa.shoot.guard.WriteGuard.IfTaken;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.apache.pdfbox.util.Matrix;
import org.jspecify.annotations.Nullable;

/** A PDF being made page by page. Lengths in millimetres, origin at the page's top left corner, y down. */
final class Pdf implements AutoCloseable {
    private static final float POINTS_PER_MILLIMETRE = 72 / 25.4f;
    private static final String FONT = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";
    private static final float HAIRLINE = 0.25f;
    private static final float[] INK = {0.1f, 0.1f, 0.1f};
    private static final float[] QUIET = {0.42f, 0.42f, 0.42f};

    private final PDDocument document = new PDDocument(IOUtils.createTempFileOnlyStreamCache());
    private final PDFont font;
    private final PDICCBased srgb;
    private double height;
    private @Nullable PDPageContentStream page;

    Pdf() throws IOException {
        try (InputStream letters = Pdf.class.getResourceAsStream(FONT)) {
            font = PDType0Font.load(document, letters);
        }
        srgb = new PDICCBased(document);
        try (var out = srgb.getPDStream().createOutputStream(COSName.FLATE_DECODE)) {
            out.write(Profile.SRGB.bytes());
        }
        srgb.getPDStream().getCOSObject().setInt(COSName.N, 3);
    }

    void begin(Page size) throws IOException {
        end();
        height = size.height();
        PDPage next = new PDPage(new PDRectangle(points(size.width()), points(size.height())));
        document.addPage(next);
        page = new PDPageContentStream(document, next);
    }

    private void end() throws IOException {
        if (page != null) {
            page.close();
            page = null;
        }
    }

    private PDPageContentStream page() {
        if (page == null) {
            throw new IllegalStateException("No page was begun");
        }
        return page;
    }

    private static float points(double millimetres) {
        return (float) millimetres * POINTS_PER_MILLIMETRE;
    }

    private float fromBottom(double y) {
        return points(height - y);
    }

    /** Fills a box. @param turned by a quarter clockwise, so that the picture's width goes down the page */
    void picture(byte[] srgbJpeg, Box box, boolean turned) throws IOException {
        PDImageXObject picture = JPEGFactory.createFromByteArray(document, srgbJpeg);
        picture.setColorSpace(srgb);
        float left = points(box.left());
        float wide = points(box.width());
        float high = points(box.height());
        Matrix place = turned
                ? new Matrix(0, -high, wide, 0, left, fromBottom(box.top()))
                : new Matrix(wide, 0, 0, high, left, fromBottom(box.bottom()));
        page().drawImage(picture, place);
    }

    /** One line, cut with an ellipsis where it is wider than there is room. @param size in points */
    void text(String text, double left, double baseline, double room, float size, boolean quiet) throws IOException {
        String shown = fitting(writable(text), points(room), size);
        float[] colour = quiet ? QUIET : INK;
        page().beginText();
        page().setFont(font, size);
        page().setNonStrokingColor(colour[0], colour[1], colour[2]);
        page().newLineAtOffset(points(left), fromBottom(baseline));
        page().showText(shown);
        page().endText();
    }

    /** One line that ends at a place. @param size in points */
    void textBefore(String text, double right, double baseline, float size) throws IOException {
        double wide = font.getStringWidth(writable(text)) / 1000 * size / POINTS_PER_MILLIMETRE;
        text(text, right - wide, baseline, wide + 1, size, true);
    }

    private String fitting(String text, float room, float size) throws IOException {
        String shown = text;
        while (shown.length() > 1 && font.getStringWidth(shown) / 1000 * size > room) {
            shown = shown.substring(0, shown.length() - 2).stripTrailing() + "…";
        }
        return shown;
    }

    /** What the font has no letter for shows as a question mark. */
    private String writable(String text) {
        StringBuilder writable = new StringBuilder();
        ShownName.of(text).codePoints().forEach(letter -> {
            String one = Character.toString(letter);
            try {
                font.encode(one);
                writable.append(one);
            } catch (IOException | IllegalArgumentException none) { // then it has none
                writable.append('?');
            }
        });
        return writable.toString();
    }

    void line(double x1, double y1, double x2, double y2) throws IOException {
        page().setLineWidth(HAIRLINE);
        page().setStrokingColor(0f, 0f, 0f);
        page().moveTo(points(x1), fromBottom(y1));
        page().lineTo(points(x2), fromBottom(y2));
        page().stroke();
    }

    /** A frame around nothing. */
    void empty(Box box) throws IOException {
        for (double x : List.of(box.left(), box.right())) {
            line(x, box.top(), x, box.bottom());
        }
        for (double y : List.of(box.top(), box.bottom())) {
            line(box.left(), y, box.right(), y);
        }
    }

    /** Puts it in a file whole. */
    /** A black square. */
    void square(double left, double top, double side) throws IOException {
        page().setNonStrokingColor(0f);
        page().addRect(points(left), fromBottom(top + side), points(side), points(side));
        page().fill();
    }

    void save(Path file, WriteGuard guard, IfTaken ifTaken) throws IOException {
        end();
        guard.write(file, out -> document.save(out), AtomicFile.Check.NONE, ifTaken);
    }

    @Override
    public void close() throws IOException {
        end();
        document.close();
    }
}
