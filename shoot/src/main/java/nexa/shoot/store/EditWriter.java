package nexa.shoot.store;

import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import nexa.core.brief.Alternate;
import nexa.core.brief.Brief;
import nexa.core.brief.Crop;
import nexa.core.brief.Format;
import nexa.core.brief.Framing;
import nexa.core.mark.Composition;
import nexa.core.overlay.OverlayChoice;
import nexa.core.shape.Shape;
import nexa.core.space.Pose;
import nexa.shoot.edit.Edit;
import nexa.shoot.edit.Edit.BriefChange;
import nexa.shoot.edit.Edit.FramingChange;

/**
 * An edit as bytes, deflated JSON, all numbers to the last bit, which {@link EditReader} reads. Written piece by piece: a
 * carry may change ten thousand photos.
 */
final class EditWriter {
    private static final ObjectMapper JSON = new ObjectMapper();

    private EditWriter() {}

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
        out.writeNumberField("photos", edit.photoCount()); // said first, so that it need not be counted
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
        write(framing.pose(), out);
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
        writeCrops(framing.crops(), out);
        writeAlternates(framing.alternates(), out);
        out.writeEndObject();
    }

    private static void write(Pose pose, JsonGenerator out) throws IOException {
        out.writeNumberField("turns", pose.turn().quarterTurns());
        out.writeBooleanField("mirrored", pose.turn().mirrored());
        out.writeNumberField("tilt", pose.tilt().degrees());
        for (Map.Entry<String, String> text : pose.correction().texts().entrySet()) {
            writeText(text.getKey(), text.getValue(), out);
        }
        writeText("trim", pose.trim().text(), out);
    }

    private static void writeCrops(Map<Integer, Crop> crops, JsonGenerator out) throws IOException {
        out.writeObjectFieldStart("crops");
        for (Map.Entry<Integer, Crop> crop : crops.entrySet()) {
            out.writeArrayFieldStart(crop.getKey().toString());
            write(crop.getValue(), out);
            writeFill(crop.getValue(), out);
            out.writeEndArray();
        }
        out.writeEndObject();
    }

    private static void writeAlternates(Map<Integer, List<Alternate>> alternates, JsonGenerator out)
            throws IOException {
        out.writeObjectFieldStart("alternates");
        for (Map.Entry<Integer, List<Alternate>> ofFormat : alternates.entrySet()) {
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
}
