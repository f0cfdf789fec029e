package nexa.shoot.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import nexa.core.brief.Alternate;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.brief.Subject;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;
import nexa.core.overlay.OverlayChoice;
import nexa.core.shape.Shape;
import nexa.core.sight.Sight;
import nexa.core.space.Correction;
import nexa.core.space.Pose;
import nexa.core.told.InvalidException;
import nexa.core.told.Told;
import nexa.core.trim.Trim;

/**
 * A framing as named texts, with formats by their names: what a sidecar and the table of crops both hold. Numbers are
 * written so that they read back to the last bit.
 *
 * @param photo of the photo, by the names in {@link #PHOTO}
 * @param crops each by the names in {@link #CROP}; one with {@code alternate} is an alternate of that name
 */
record FramingTexts(Map<String, String> photo, List<Map<String, String>> crops) {
    /** Names of what is known of the photo. Angles in degrees, marks in as-shot space. */
    static final List<String> PHOTO = List.of(
            "quarterTurns",
            "mirrored",
            "tilt",
            "level",
            "setAside",
            "marks",
            "rule",
            "sight",
            "overlay",
            "lens",
            "plumb",
            "trim",
            "neutral",
            "eyes",
            "bands");

    /** Names of what is known of a crop: the wish, in as-shot space. */
    static final List<String> CROP = List.of(
            "format", "alternate", "centreX", "centreY", "width", "height", "shape", "outside", "checked", "fill");

    /**
     * What was read.
     *
     * @param unknown names of formats that the brief does not have; their crops are left out
     */
    record Read(Framing framing, Set<String> unknown) {}

    // ---- writing ----

    static FramingTexts of(Framing framing, Brief brief) {
        List<Map<String, String>> crops = new ArrayList<>();
        for (Format format : brief.formats()) {
            framing.crop(format).ifPresent(crop -> crops.add(crop(format, "", crop)));
            framing.alternates(format)
                    .forEach(alternate -> crops.add(crop(format, alternate.name(), alternate.crop())));
        }
        return new FramingTexts(photo(framing), crops);
    }

    private static Map<String, String> photo(Framing framing) {
        Map<String, String> texts = new LinkedHashMap<>();
        Pose pose = framing.pose();
        texts.put("quarterTurns", Integer.toString(pose.turn().quarterTurns()));
        texts.put("mirrored", Boolean.toString(pose.turn().mirrored()));
        texts.put("tilt", Double.toString(pose.tilt().degrees()));
        texts.put(
                "level",
                framing.level().map(tilt -> Double.toString(tilt.degrees())).orElse(""));
        texts.put("setAside", Boolean.toString(framing.setAside()));
        texts.put("marks", framing.marks().text());
        texts.put("rule", framing.subject().rule().map(Composition::text).orElse(""));
        texts.put("sight", framing.subject().sightText());
        texts.put("overlay", framing.overlay().map(OverlayChoice::text).orElse(""));
        texts.putAll(pose.correction().texts());
        texts.put("trim", pose.trim().text());
        return texts;
    }

    private static Map<String, String> crop(Format format, String alternate, Crop crop) {
        Map<String, String> texts = new LinkedHashMap<>();
        Frame wish = crop.wish();
        texts.put("format", format.name());
        texts.put("alternate", alternate);
        texts.put("centreX", Double.toString(wish.centreX()));
        texts.put("centreY", Double.toString(wish.centreY()));
        texts.put("width", Double.toString(wish.width()));
        texts.put("height", Double.toString(wish.height()));
        texts.put("shape", crop.ownShape().map(Shape::text).orElse(""));
        texts.put("outside", Boolean.toString(crop.outside()));
        texts.put("checked", Boolean.toString(crop.checked()));
        texts.put("fill", crop.fill().map(Fill::text).orElse(""));
        return texts;
    }

    // ---- reading ----

    /** @throws IllegalArgumentException with words for the user if a text is not what its name says */
    Read framing(Brief brief) {
        Map<Integer, Crop> placed = new HashMap<>();
        Map<Integer, List<Alternate>> alternates = new HashMap<>();
        Set<String> unknown = new LinkedHashSet<>();
        for (Map<String, String> texts : crops) {
            Optional<Format> format = brief.find(texts.getOrDefault("format", ""));
            String alternate = texts.getOrDefault("alternate", "");
            if (format.isEmpty()) {
                unknown.add(texts.getOrDefault("format", ""));
            } else if (alternate.isEmpty()) {
                placed.put(format.get().id(), crop(texts));
            } else {
                alternates
                        .computeIfAbsent(format.get().id(), id -> new ArrayList<>())
                        .add(new Alternate(alternate, crop(texts)));
            }
        }
        return new Read(framing(placed, alternates), unknown);
    }

    private Framing framing(Map<Integer, Crop> placed, Map<Integer, List<Alternate>> alternates) {
        Turn turn = new Turn((int) number(photo, "quarterTurns", 0), flag(photo, "mirrored"));
        return new Framing(
                new Pose(correction(), turn, new Tilt(number(photo, "tilt", 0)), trim()),
                placed,
                alternates,
                flag(photo, "setAside"),
                new Subject(
                        Marks.parse(photo.getOrDefault("marks", "")),
                        text(photo, "rule").map(Composition::parse),
                        Sight.parse(photo.getOrDefault("sight", ""))),
                text(photo, "level").map(level -> new Tilt(number(photo, "level", 0))),
                text(photo, "overlay").map(OverlayChoice::parse));
    }

    private Correction correction() {
        try {
            return Correction.parse(photo::get);
        } catch (IllegalArgumentException nonsense) {
            throw new InvalidException(Told.of("told.exchange.no-correction"), nonsense);
        }
    }

    private Trim trim() {
        try {
            return Trim.parse(photo.getOrDefault("trim", ""));
        } catch (IllegalArgumentException nonsense) {
            throw new InvalidException(Told.of("told.exchange.no-trim"), nonsense);
        }
    }

    private static Crop crop(Map<String, String> texts) {
        Frame wish = new Frame(
                number(texts, "centreX", Double.NaN),
                number(texts, "centreY", Double.NaN),
                number(texts, "width", Double.NaN),
                number(texts, "height", Double.NaN));
        return new Crop(
                wish,
                text(texts, "shape").map(Shape::parse),
                flag(texts, "outside"),
                flag(texts, "checked"),
                text(texts, "fill").map(Fill::parse));
    }

    private static Optional<String> text(Map<String, String> texts, String name) {
        return Optional.ofNullable(texts.get(name)).filter(text -> !text.isBlank());
    }

    /** XMP writes truth with a capital. */
    private static boolean flag(Map<String, String> texts, String name) {
        return text(texts, name).map(Boolean::parseBoolean).orElse(false);
    }

    private static double number(Map<String, String> texts, String name, double missing) {
        String text = text(texts, name).orElse(null);
        try {
            double number = text == null ? missing : Double.parseDouble(text);
            if (Double.isFinite(number)) {
                return number;
            }
        } catch (NumberFormatException notANumber) { // said below
        }
        throw new InvalidException("told.exchange.no-number-for", text == null ? "" : text, name);
    }
}
