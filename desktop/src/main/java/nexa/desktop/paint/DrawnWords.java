package nexa.desktop.paint;

import java.util.HashMap;
import java.util.Map;
import javafx.geometry.VPos;
import javafx.scene.layout.Region;
import javafx.scene.text.Font;
import javafx.scene.text.Text;
import javafx.scene.text.TextAlignment;

/**
 * Words on a view, written anew from {@link #begin} to {@link #end}; those that stay where they were cost nothing. Places
 * are in the view's own units.
 */
public final class DrawnWords extends Region {
    private static final Font FONT = Font.font("Inter", 12);

    private static final Map<String, Double> WIDTHS = new HashMap<>(); // the interface's thread's
    private static final int KNOWN = 100;
    private static final double TAG_HEIGHT = 26;
    private static final double PADDING = 10;
    private static final double CAPTION_BOTTOM = 22;

    /** From the bottom to above the captions. */
    public static final double CAPTION_ROOM = 34;

    private final NodePool<Text> soft = new NodePool<>(getChildren(), () -> text("drawn-words"));
    private final NodePool<Tag> tags = new NodePool<>(getChildren(), Tag::new);

    public DrawnWords() {
        setMinSize(0, 0);
        setMouseTransparent(true);
    }

    public void begin() {
        soft.begin();
        tags.begin();
    }

    public void end() {
        soft.end();
        tags.end();
    }

    /** @param overPhoto whether the photo may lie beneath, so that the words need a ground of their own */
    public void caption(String words, double x, TextAlignment alignment, boolean overPhoto) {
        if (words.isEmpty()) {
            return;
        }
        if (overPhoto) {
            tag(words, left(x, captionWidth(words, true), alignment), getHeight() - CAPTION_BOTTOM - TAG_HEIGHT / 2);
        } else {
            soft(words, x, getHeight() - CAPTION_BOTTOM, alignment);
        }
    }

    /** How wide a caption is, its tag included if it lies over the photo. */
    public static double captionWidth(String words, boolean overPhoto) {
        return measured(words) + (overPhoto ? 2 * PADDING : 0);
    }

    public void middle(String words) {
        soft(words, getWidth() / 2, getHeight() / 2, TextAlignment.CENTER);
    }

    private static double left(double x, double wide, TextAlignment alignment) {
        return switch (alignment) {
            case LEFT, JUSTIFY -> x;
            case CENTER -> x - wide / 2;
            case RIGHT -> x - wide;
        };
    }

    private void soft(String words, double x, double y, TextAlignment alignment) {
        Text text = soft.next();
        text.setText(words);
        text.setX(Math.round(left(x, measured(words), alignment)));
        text.setY(Math.round(y));
    }

    /** Light words on a dark tag, kept on the view. */
    public void tag(String words, double x, double y) {
        double wide = measured(words) + 2 * PADDING;
        tags.next()
                .show(
                        words,
                        wide,
                        Math.clamp(x, 4, Math.max(4, getWidth() - wide - 4)),
                        Math.clamp(y, 4, Math.max(4, getHeight() - TAG_HEIGHT - 4)));
    }

    /** A tag in the middle at the top. */
    public void banner(String words) {
        tag(words, getWidth() / 2 - measured(words) / 2 - PADDING, 2);
    }

    /** How wide words are. While something is dragged the same are asked for at every drawing. */
    public static double measured(String words) {
        if (WIDTHS.size() >= KNOWN && !WIDTHS.containsKey(words)) {
            WIDTHS.clear();
        }
        return WIDTHS.computeIfAbsent(words, DrawnWords::measure);
    }

    private static double measure(String words) {
        Text text = new Text(words);
        text.setFont(FONT);
        return Math.ceil(text.getLayoutBounds().getWidth());
    }

    private static Text text(String style) {
        Text text = new Text();
        text.setFont(FONT);
        text.setTextOrigin(VPos.CENTER);
        text.setManaged(false);
        text.getStyleClass().add(style);
        return text;
    }

    /** Words on their own ground. */
    private static final class Tag extends Region {
        private final Text words = text("tag-words");

        Tag() {
            getStyleClass().add("drawn-tag");
            setManaged(false);
            words.setX(PADDING);
            words.setY(TAG_HEIGHT / 2);
            getChildren().add(words);
        }

        void show(String said, double wide, double x, double y) {
            words.setText(said);
            resizeRelocate(x, y, wide, TAG_HEIGHT);
        }
    }
}
