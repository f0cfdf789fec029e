package nexa.words;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import nexa.core.brief.FrameState;
import nexa.core.brief.Why;
import nexa.core.exact.Reference;
import nexa.core.exact.Unit;
import nexa.core.level.Refusal;
import nexa.core.overlay.Overlay;
import nexa.desktop.bench.BenchMode;
import nexa.desktop.keys.Command;
import nexa.desktop.setting.MatTone;
import nexa.desktop.setting.Mover;
import nexa.desktop.setting.OverlayLook;
import nexa.desktop.setting.OverlayShow;
import nexa.imaging.file.Trouble;
import org.junit.jupiter.api.Test;

class WordsTest {
    /** Not keys by themselves: a value's name follows. */
    private static final Set<String> OF_VALUES = Set.of(
            "find.kind", "lens.assumed", "lens.why", "neutral.doubt", "plumb.refusal", "trim.refusal", "trim.side");

    @Test
    void everyKeyInTheCode_hasWords() throws IOException {
        String beginnings =
                keys().stream().map(key -> key.split("\\.", 2)[0]).distinct().collect(Collectors.joining("|"));
        Pattern asked = Pattern.compile("\"((?:" + beginnings + ")\\.[a-z.-]*[a-z-])\"");
        try (Stream<Path> sources = Files.walk(Path.of("src/main/java"))) {
            for (Path source : (Iterable<Path>) sources.filter(p -> p.toString().endsWith(".java"))::iterator) {
                asked.matcher(Files.readString(source))
                        .results()
                        .map(match -> match.group(1))
                        .filter(key -> !OF_VALUES.contains(key))
                        .forEach(key -> assertTrue(Words.has(key), key + " in " + source));
            }
        }
    }

    private static Set<String> keys() throws IOException {
        Properties words = new Properties();
        try (InputStream in = Words.class.getResourceAsStream("words.properties")) {
            words.load(in);
        }
        return words.stringPropertyNames();
    }

    @Test
    void everyValueThatIsShown_hasWords() {
        telling(Overlay.values(), Words::of);
        telling(FrameState.values(), Words::of);
        telling(Command.values(), command -> Words.of("command", command));
        telling(Refusal.values(), Words::of);
        telling(Trouble.Kind.values(), kind -> Words.of(Trouble.of(kind)));
        for (Command command : Command.values()) {
            assertTrue(Words.has("group." + command.group().name().toLowerCase(Locale.ROOT)), command::name);
        }
        everyChoice_hasWords("reference", Reference.values());
        everyChoice_hasWords("colour", nexa.core.files.DeliveredColour.Kind.values());
        everyChoice_hasWords("taken", nexa.shoot.handover.request.Collision.values());
        everyChoice_hasWords("sheet", nexa.core.paper.Paper.values());
        everyChoice_hasWords("sheets", nexa.desktop.delivering.PaperModel.Kind.values());
        everyChoice_hasWords("sharpening", nexa.core.files.Finish.Sharpening.values());
        everyChoice_hasWords("keep", nexa.core.files.Description.Keep.values());
        everyChoice_hasWords("chroma", nexa.core.files.Packing.Chroma.values());
        everyChoice_hasWords("depth", nexa.core.files.Packing.Depth.values());
        everyChoice_hasWords("compression", nexa.core.files.Packing.Compression.values());
        everyChoice_hasWords("reach", nexa.core.print.Sense.Reach.values());
        everyChoice_hasWords("remark", nexa.imaging.file.Remark.values());
        everyChoice_hasWords("part", nexa.core.carry.Part.values());
        everyChoice_hasWords("wall.repeat", nexa.shoot.review.RepeatGroup.Reason.values());
        everyChoice_hasWords("opposite", nexa.core.carry.Opposite.values());
        everyChoice_hasWords("loss", nexa.core.carry.Loss.values());
        everyChoice_hasWords("by", nexa.core.carry.By.values());
        everyChoice_hasWords("to", nexa.desktop.setting.CarryTo.values());
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
        everyChoice_hasWords(
                "waits", EnumSet.complementOf(EnumSet.of(BenchMode.FRAMING)).toArray(BenchMode[]::new));
    }

    private static void everyChoice_hasWords(String kind, Enum<?>[] values) {
        telling(values, value -> Words.of(kind, value));
    }

    /** Each has words, no two the same, and none with an empty place. */
    private static <E extends Enum<?>> void telling(E[] values, Function<E, String> words) {
        Map<String, E> said = new HashMap<>();
        for (E value : values) {
            String text = words.apply(value);
            assertTrue(!text.isBlank() && !text.contains("{"), value + ": " + text);
            assertNull(said.put(text, value), text + " is said of two");
        }
    }

    @Test
    void counts_haveTheirNumber() {
        assertEquals("99 files: 99 photos × 1 format", Words.of("handover.plan", 99, 99, 1));
        assertEquals("1 file: 1 photo × 1 format", Words.of("handover.plan", 1, 1, 1));
        assertEquals("0 files: 0 photos × 2 formats", Words.of("handover.plan", 0, 0, 2));
        assertEquals("1 photo", Words.of("header.counts", 1, ""));
        assertEquals("14 other files, not photos Nexa reads", Words.of("wall.others", 14));
    }

    @Test
    void namesThatTurnTheDirection_areShownHarmlessly() {
        assertEquals("Hand over 2 files", Words.of("handover.start", 2));
        assertEquals("a\uFFFDgpj · 4:5", Words.of("desk.shape", "a\u202Egpj", "4:5"));
    }

    @Test
    void headRoom_isToldAsWhatOneSees() {
        assertEquals("2 faces kept, 6 % head room", Words.of(new Why.Kept(2, true, 0.061)));
        assertEquals("one face kept, no head room", Words.of(new Why.Kept(1, true, -0.012)));
        assertEquals("one face kept, hair cut", Words.of(new Why.Kept(1, false, -0.3)));
        assertEquals("the subject kept whole", Words.of(new Why.Kept(0, true, 0)));
    }

    @Test
    void valuesAreFilledIn() {
        assertEquals("truncated after 41 %", Words.of(new Trouble(Trouble.Kind.TRUNCATED, 41)));
        assertEquals("3 of 36", Words.of("header.place", 3, 36));
    }
}
