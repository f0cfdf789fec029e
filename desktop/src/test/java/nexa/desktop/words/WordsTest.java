package nexa.desktop.words;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import nexa.core.brief.FrameState;
import nexa.core.exact.Reference;
import nexa.core.exact.Unit;
import nexa.core.level.Refusal;
import nexa.core.overlay.Overlay;
import nexa.desktop.keys.Command;
import nexa.desktop.session.MatTone;
import nexa.desktop.session.Mover;
import nexa.desktop.session.OverlayLook;
import nexa.desktop.session.OverlayShow;
import nexa.imaging.file.Trouble;
import org.junit.jupiter.api.Test;

class WordsTest {
    private static final Pattern KEY = Pattern.compile(
            "\"((?:app|view|header|start|rail|state|wall|bench|desk|overlay|handover|trouble|edit|notice|keys|shape|numbers|look|alternate|steps|pane|review|carry|marks|filter|format|shelf|lineup|settings|colour|taken|files|sense|paper|exchange)\\.[a-z.-]+)\"");

    @Test
    void everyKeyInTheCode_hasWords() throws IOException {
        try (Stream<Path> sources = Files.walk(Path.of("src/main/java"))) {
            for (Path source : (Iterable<Path>) sources.filter(p -> p.toString().endsWith(".java"))::iterator) {
                KEY.matcher(Files.readString(source))
                        .results()
                        .map(match -> match.group(1))
                        .filter(key -> !key.endsWith("."))
                        .forEach(key -> assertTrue(Words.has(key), key + " in " + source));
            }
        }
    }

    @Test
    void everyValueThatIsShown_hasWords() {
        for (Overlay overlay : Overlay.values()) {
            assertTrue(Words.of(overlay).length() > 3);
        }
        for (FrameState state : FrameState.values()) {
            assertTrue(Words.of(state).length() > 3);
        }
        for (Command command : Command.values()) {
            assertTrue(Words.of(command).length() > 3);
            assertTrue(Words.of("group", command.group()).length() > 3);
        }
        for (Refusal refusal : Refusal.values()) {
            assertTrue(Words.of(refusal).length() > 3);
        }
        everyChoice_hasWords("reference", Reference.values());
        everyChoice_hasWords("colour", nexa.core.files.DeliveredColour.Kind.values());
        everyChoice_hasWords("taken", nexa.shoot.handover.Collision.values());
        everyChoice_hasWords("sheet", nexa.core.paper.Paper.values());
        everyChoice_hasWords("sheets", nexa.desktop.session.PaperModel.Kind.values());
        everyChoice_hasWords("sharpening", nexa.core.files.Finish.Sharpening.values());
        everyChoice_hasWords("keep", nexa.core.files.Description.Keep.values());
        everyChoice_hasWords("chroma", nexa.core.files.Packing.Chroma.values());
        everyChoice_hasWords("depth", nexa.core.files.Packing.Depth.values());
        everyChoice_hasWords("compression", nexa.core.files.Packing.Compression.values());
        everyChoice_hasWords("reach", nexa.core.print.Sense.Reach.values());
        everyChoice_hasWords("remark", nexa.imaging.file.Remark.values());
        everyChoice_hasWords("part", nexa.core.carry.Part.values());
        everyChoice_hasWords("opposite", nexa.core.carry.Opposite.values());
        everyChoice_hasWords("loss", nexa.core.carry.Loss.values());
        everyChoice_hasWords("by", nexa.core.carry.By.values());
        everyChoice_hasWords("to", nexa.desktop.session.CarryTo.values());
        everyChoice_hasWords("warning", nexa.core.review.Warning.values());
        everyChoice_hasWords("order", nexa.shoot.review.PhotoOrder.values());
        everyChoice_hasWords("aside", nexa.shoot.review.PhotoFilter.Aside.values());
        everyChoice_hasWords("lying", nexa.core.geometry.Orientation.values());
        everyChoice_hasWords("preset", nexa.core.brief.Preset.Kind.values());
        everyChoice_hasWords("rule", nexa.core.shape.OrientationRule.values());
        everyChoice_hasWords("unit", Unit.values());
        everyChoice_hasWords("ink", OverlayLook.Ink.values());
        everyChoice_hasWords("show", OverlayShow.values());
        everyChoice_hasWords("tone", MatTone.values());
        everyChoice_hasWords("mover", Mover.values());
        for (Trouble.Kind kind : Trouble.Kind.values()) {
            assertTrue(Words.of(Trouble.of(kind)).length() > 3);
        }
    }

    private static void everyChoice_hasWords(String kind, Enum<?>[] values) {
        for (Enum<?> value : values) {
            assertTrue(!Words.of(kind, value).isEmpty(), kind + " " + value);
        }
    }

    @Test
    void valuesAreFilledIn() {
        assertEquals("truncated after 41 %", Words.of(new Trouble(Trouble.Kind.TRUNCATED, 41)));
        assertEquals("3 of 36", Words.of("header.place", 3, 36));
    }
}
