package nexa.desktop.paint;

import java.util.HashMap;
import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/** Words on the Bench's canvas. */
public final class CanvasText {
    private static final Font FONT = Font.font("Inter", 12);

    private static final Map<String, Double> WIDTHS = new HashMap<>(); // the interface's thread's
    private static final int KNOWN = 100;
    private static final double TAG_HEIGHT = 26;
    private static final double PADDING = 10;
    private static final double CAPTION_BOTTOM = 22;

    /** From the bottom to above the captions. */
    public static final double CAPTION_ROOM = 34;

    private final GraphicsContext canvas;
    private final Color ink;
    private final double width;
    private final double height;

    /** @param ink the colour of words on the bare ground */
    public CanvasText(GraphicsContext canvas, Color ink, double width, double height) {
        this.canvas = canvas;
        this.ink = ink;
        this.width = width;
        this.height = height;
    }

    /** @param overPhoto whether the photo may lie beneath, so that the words need a ground of their own */
    public void caption(String words, double x, TextAlignment alignment, boolean overPhoto) {
        if (words.isEmpty()) {
            return;
        }
        if (overPhoto) {
            double wide = measured(words) + 2 * PADDING;
            tag(words, left(x, wide, alignment), height - CAPTION_BOTTOM - TAG_HEIGHT / 2);
        } else {
            soft(words, x, height - CAPTION_BOTTOM, alignment);
        }
    }

    public void middle(String words) {
        soft(words, width / 2, height / 2, TextAlignment.CENTER);
    }

    private static double left(double x, double wide, TextAlignment alignment) {
        return switch (alignment) {
            case LEFT, JUSTIFY -> x;
            case CENTER -> x - wide / 2;
            case RIGHT -> x - wide;
        };
    }

    private void soft(String words, double x, double y, TextAlignment alignment) {
        canvas.setFill(ink);
        write(words, Math.round(x), Math.round(y), alignment);
    }

    /** Light words on a dark tag, kept on the canvas. */
    public void tag(String words, double x, double y) {
        double wide = measured(words) + 2 * PADDING;
        double left = Math.clamp(x, 4, Math.max(4, width - wide - 4));
        double top = Math.clamp(y, 4, Math.max(4, height - TAG_HEIGHT - 4));
        canvas.setFill(Color.gray(0.12, 0.92));
        canvas.fillRoundRect(left, top, wide, TAG_HEIGHT, 8, 8);
        canvas.setFill(Color.WHITE);
        write(words, left + wide / 2, top + TAG_HEIGHT / 2, TextAlignment.CENTER);
    }

    /** A tag in the middle at the top. */
    public void banner(String words) {
        tag(words, width / 2 - measured(words) / 2 - PADDING, 2);
    }

    private void write(String words, double x, double y, TextAlignment alignment) {
        canvas.setFont(FONT);
        canvas.setTextAlign(alignment);
        canvas.setTextBaseline(VPos.CENTER);
        canvas.fillText(words, x, y);
    }

    /** How wide words are. While something is dragged the same are asked for at every drawing. */
    public static double measured(String words) {
        if (WIDTHS.size() >= KNOWN && !WIDTHS.containsKey(words)) {
            WIDTHS.clear();
        }
        return WIDTHS.computeIfAbsent(words, CanvasText::measure);
    }

    private static double measure(String words) {
        Text text = new Text(words);
        text.setFont(FONT);
        return Math.ceil(text.getLayoutBounds().getWidth());
    }
}
