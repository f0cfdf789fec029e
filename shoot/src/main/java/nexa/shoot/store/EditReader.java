package nexa.shoot.store;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StreamCorruptedException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.zip.InflaterInputStream;
import nexa.core.brief.Alternate;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.brief.Subject;
import nexa.core.files.FileSettings;
import nexa.core.fill.Fill;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Tilt;
import nexa.core.geometry.Turn;
import nexa.core.mark.Composition;
import nexa.core.mark.Marks;
import nexa.core.overlay.OverlayChoice;
import nexa.core.print.SizeTarget;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.sight.Sight;
import nexa.core.space.Correction;
import nexa.core.space.Pose;
import nexa.core.trim.Trim;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.BriefChange;
import nexa.shoot.edit.Edit.FramingChange;
import org.jspecify.annotations.Nullable;

/** Reads what {@link EditWriter} wrote, as far as it is asked: what a step is called, and did first, stands in front. */
final class EditReader {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int NOT_SAID = -1;

    private EditReader() {}

    /**
     * An edit in short.
     *
     * @param photos how many it changes
     * @param first what it changes of the first of them; empty if it changes none
     */
    record Summary(int photos, Optional<FramingChange> first) {}

    /**
     * What the photographer did, as a key of the interface's words.
     *
     * @throws IOException if it is not an edit
     */
    static String label(byte[] bytes) throws IOException {
        try (JsonParser in = parser(bytes)) {
            return label(in);
        }
    }

    /**
     * The edit in short.
     *
     * @throws IOException if it is not an edit
     * @throws IllegalArgumentException if a value is not what its name says
     */
    static Summary summary(byte[] bytes) throws IOException {
        try (JsonParser in = parser(bytes)) {
            label(in);
            int said = photos(in);
            Optional<FramingChange> first = nextChange(in);
            return new Summary(said == NOT_SAID ? counted(first, in) : said, first);
        }
    }

    private static int counted(Optional<FramingChange> first, JsonParser in) throws IOException {
        int photos = first.isPresent() ? 1 : 0;
        while (in.currentToken() != JsonToken.END_ARRAY && in.nextToken() == JsonToken.START_OBJECT) {
            in.skipChildren();
            photos++;
        }
        return photos;
    }

    /**
     * All of the edit.
     *
     * @throws IOException if it is not an edit
     * @throws IllegalArgumentException if a value is not what its name says
     */
    static Edit edit(byte[] bytes) throws IOException {
        try (JsonParser in = parser(bytes)) {
            String label = label(in);
            photos(in);
            List<FramingChange> framings = new ArrayList<>();
            Optional<FramingChange> change = nextChange(in);
            while (change.isPresent()) {
                framings.add(change.get());
                change = nextChange(in);
            }
            return new Edit(label, framings, briefChange(in));
        }
    }

    // ---- one after the other ----

    private static JsonParser parser(byte[] bytes) throws IOException {
        return JSON.createParser(new InflaterInputStream(new ByteArrayInputStream(bytes)));
    }

    private static String label(JsonParser in) throws IOException {
        require(in.nextToken() == JsonToken.START_OBJECT && "label".equals(in.nextFieldName()), in);
        String label = in.nextTextValue();
        require(label != null, in);
        return Objects.requireNonNull(label);
    }

    /** How many are changed, up to the first of them; earlier versions did not say so. */
    private static int photos(JsonParser in) throws IOException {
        int photos = NOT_SAID;
        String name = in.nextFieldName();
        if ("photos".equals(name)) {
            photos = in.nextIntValue(NOT_SAID);
            name = in.nextFieldName();
        }
        require("framings".equals(name) && in.nextToken() == JsonToken.START_ARRAY, in);
        return photos;
    }

    /** Empty at the end of them. */
    private static Optional<FramingChange> nextChange(JsonParser in) throws IOException {
        if (in.nextToken() == JsonToken.END_ARRAY) {
            return Optional.empty();
        }
        JsonNode change = in.readValueAsTree();
        return Optional.of(new FramingChange(
                change.required("photo").asLong(),
                framing(change.required("before")),
                framing(change.required("after"))));
    }

    /** What follows the framings; null if the brief stays as it is. */
    private static @Nullable BriefChange briefChange(JsonParser in) throws IOException {
        if (in.nextToken() == JsonToken.END_OBJECT) {
            return null;
        }
        require("briefBefore".equals(in.currentName()) && in.nextToken() == JsonToken.START_OBJECT, in);
        JsonNode before = in.readValueAsTree();
        require("briefAfter".equals(in.nextFieldName()) && in.nextToken() == JsonToken.START_OBJECT, in);
        return new BriefChange(brief(before), brief(in.readValueAsTree()));
    }

    private static void require(boolean isSo, JsonParser in) throws IOException {
        if (!isSo) {
            throw new StreamCorruptedException("unexpected " + in.currentToken() + " at " + in.currentLocation());
        }
    }

    // ---- values ----

    private static Framing framing(JsonNode node) {
        Map<Integer, Crop> crops = new HashMap<>();
        node.required("crops")
                .properties()
                .forEach(crop -> crops.put(Integer.valueOf(crop.getKey()), crop(crop.getValue(), 7)));
        Map<Integer, List<Alternate>> alternates = new HashMap<>();
        node.required("alternates").properties().forEach(ofFormat -> {
            List<Alternate> all = new ArrayList<>();
            ofFormat.getValue()
                    .forEach(each -> all.add(new Alternate(each.required(7).asText(), crop(each, 8))));
            alternates.put(Integer.valueOf(ofFormat.getKey()), all);
        });
        Turn turn = new Turn(
                node.required("turns").asInt(), node.required("mirrored").asBoolean());
        return new Framing(
                new Pose(
                        Correction.parse(name -> text(node, name).orElse(null)), // none in earlier versions
                        turn,
                        new Tilt(node.required("tilt").asDouble()),
                        text(node, "trim").map(Trim::parse).orElse(Trim.NONE)),
                crops,
                alternates,
                node.required("aside").asBoolean(),
                new Subject(
                        Marks.parse(node.required("marks").asText()),
                        text(node, "rule").map(Composition::parse),
                        text(node, "sight").flatMap(Sight::parse)), // none in earlier versions
                Optional.ofNullable(node.get("level")).map(level -> new Tilt(level.asDouble())),
                text(node, "overlay").map(OverlayChoice::parse));
    }

    /** @param fill place of the fill, if it has one of its own */
    private static Crop crop(JsonNode node, int fill) {
        Frame wish = new Frame(
                node.required(0).asDouble(),
                node.required(1).asDouble(),
                node.required(2).asDouble(),
                node.required(3).asDouble());
        return new Crop(
                wish,
                node.required(4).isNull()
                        ? Optional.empty()
                        : Optional.of(Shape.parse(node.required(4).asText())),
                node.required(5).asBoolean(),
                node.required(6).asBoolean(),
                Optional.ofNullable(node.get(fill)).map(text -> Fill.parse(text.asText())));
    }

    private static Optional<String> text(JsonNode node, String name) {
        @Nullable JsonNode text = node.get(name);
        return text == null || text.isNull() ? Optional.empty() : Optional.of(text.asText());
    }

    private static Brief brief(JsonNode node) {
        List<Format> formats = new ArrayList<>();
        for (JsonNode format : node.required("formats")) {
            formats.add(new Format(
                    format.required("id").asInt(),
                    format.required("name").asText(),
                    Shape.parse(format.required("shape").asText()),
                    OrientationRule.valueOf(format.required("rule").asText()),
                    SizeTarget.parse(format.required("target").asText()),
                    format.required("note").asText(),
                    FileSettings.parse(format.required("files").asText()),
                    format.path("centred").asBoolean())); // not in earlier versions
        }
        return new Brief(formats, node.required("nextId").asInt());
    }
}
