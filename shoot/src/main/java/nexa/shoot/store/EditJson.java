package nexa.shoot.store;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
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

/**
 * An edit as bytes, deflated JSON, all numbers to the last bit. Written piece by piece: a carry may change ten thousand
 * photos.
 */
final class EditJson {
    private static final ObjectMapper JSON = new ObjectMapper();

    private EditJson() {}

    // ---- writing ----

    static byte[] bytes(Edit edit) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        Deflater fast = new Deflater(Deflater.BEST_SPEED);
        try (JsonGenerator out = JSON.createGenerator(new DeflaterOutputStream(bytes, fast, 1 << 13))) {
            write(edit, out);
        } catch (IOException impossible) { // it goes to memory
            throw new IllegalStateException(impossible);
        } finally {
            fast.end();
        }
        return bytes.toByteArray();
    }

    private static void write(Edit edit, JsonGenerator out) throws IOException {
        out.writeStartObject();
        out.writeStringField("label", edit.label());
        out.writeArrayFieldStart("framings");
        for (FramingChange change : edit.framings()) {
            out.writeStartObject();
            out.writeNumberField("photo", change.photo());
            write("before", change.before(), out);
            write("after", change.after(), out);
            out.writeEndObject();
        }
        out.writeEndArray();
        BriefChange brief = edit.brief();
        if (brief != null) {
            write("briefBefore", brief.before(), out);
            write("briefAfter", brief.after(), out);
        }
        out.writeEndObject();
    }

    private static void write(String name, Framing framing, JsonGenerator out) throws IOException {
        out.writeObjectFieldStart(name);
        out.writeNumberField("turns", framing.pose().turn().quarterTurns());
        out.writeBooleanField("mirrored", framing.pose().turn().mirrored());
        out.writeNumberField("tilt", framing.pose().tilt().degrees());
        for (Map.Entry<String, String> text :
                framing.pose().correction().texts().entrySet()) {
            writeText(text.getKey(), text.getValue(), out);
        }
        writeText("trim", framing.pose().trim().text(), out);
        out.writeBooleanField("aside", framing.setAside());
        out.writeStringField("marks", framing.marks().text());
        out.writeStringField(
                "rule", framing.subject().rule().map(Composition::text).orElse(null));
        writeText("sight", framing.subject().sightText(), out);
        out.writeStringField(
                "overlay", framing.overlay().map(OverlayChoice::text).orElse(null));
        if (framing.level().isPresent()) {
            out.writeNumberField("level", framing.level().get().degrees());
        }
        out.writeObjectFieldStart("crops");
        for (Map.Entry<Integer, Crop> crop : framing.crops().entrySet()) {
            out.writeArrayFieldStart(crop.getKey().toString());
            write(crop.getValue(), out);
            writeFill(crop.getValue(), out);
            out.writeEndArray();
        }
        out.writeEndObject();
        out.writeObjectFieldStart("alternates");
        for (Map.Entry<Integer, List<Alternate>> ofFormat : framing.alternates().entrySet()) {
            out.writeArrayFieldStart(ofFormat.getKey().toString());
            for (Alternate alternate : ofFormat.getValue()) {
                out.writeStartArray();
                write(alternate.crop(), out);
                out.writeString(alternate.name());
                writeFill(alternate.crop(), out);
                out.writeEndArray();
            }
            out.writeEndArray();
        }
        out.writeEndObject();
        out.writeEndObject();
    }

    private static void writeText(String name, String text, JsonGenerator out) throws IOException {
        if (!text.isEmpty()) {
            out.writeStringField(name, text);
        }
    }

    private static void writeFill(Crop crop, JsonGenerator out) throws IOException {
        if (crop.fill().isPresent()) {
            out.writeString(crop.fill().get().text());
        }
    }

    private static void write(Crop crop, JsonGenerator out) throws IOException {
        out.writeNumber(crop.wish().centreX());
        out.writeNumber(crop.wish().centreY());
        out.writeNumber(crop.wish().width());
        out.writeNumber(crop.wish().height());
        out.writeString(crop.ownShape().map(Shape::text).orElse(null));
        out.writeBoolean(crop.outside());
        out.writeBoolean(crop.checked());
    }

    private static void write(String name, Brief brief, JsonGenerator out) throws IOException {
        out.writeObjectFieldStart(name);
        out.writeNumberField("nextId", brief.nextId());
        out.writeArrayFieldStart("formats");
        for (Format format : brief.formats()) {
            out.writeStartObject();
            out.writeNumberField("id", format.id());
            out.writeStringField("name", format.name());
            out.writeStringField("shape", format.shape().text());
            out.writeStringField("rule", format.rule().name());
            out.writeStringField("target", format.target().text());
            out.writeStringField("note", format.note());
            out.writeStringField("files", format.files().text());
            out.writeBooleanField("centred", format.centred());
            out.writeEndObject();
        }
        out.writeEndArray();
        out.writeEndObject();
    }

    // ---- reading ----

    /**
     * The inverse.
     *
     * @throws IOException if it is not such an edit
     * @throws IllegalArgumentException if a value is not what its name says
     */
    static Edit read(byte[] bytes) throws IOException {
        JsonNode edit = JSON.readTree(new InflaterInputStream(new ByteArrayInputStream(bytes)));
        List<FramingChange> framings = new ArrayList<>();
        for (JsonNode change : edit.required("framings")) {
            framings.add(new FramingChange(
                    change.required("photo").asLong(),
                    framing(change.required("before")),
                    framing(change.required("after"))));
        }
        BriefChange brief = edit.has("briefAfter")
                ? new BriefChange(brief(edit.required("briefBefore")), brief(edit.required("briefAfter")))
                : null;
        return new Edit(edit.required("label").asText(), framings, brief);
    }

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
