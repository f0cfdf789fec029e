package nexa.shoot.exchange;

import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.files.FileSettings;
import nexa.core.print.SizeTarget;
import nexa.core.shape.OrientationRule;
import nexa.core.shape.Shape;
import nexa.core.told.InvalidException;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.shoot.guard.WriteGuard;
import nexa.shoot.guard.WriteGuard.IfTaken;

/**
 * Formats under a name, as JSON that people can read and write; docs/formats.md describes it. Crops are not part of it.
 *
 * @param formats their ids mean nothing here
 */
public record BriefFile(String name, List<Format> formats) {
    private static final ObjectMapper JSON = new ObjectMapper()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);
    private static final int VERSION = 1;
    private static final String BYTE_ORDER_MARK = "\uFEFF";

    /** No brief comes near; a larger file is something else. */
    private static final long LARGEST_FILE = 1 << 20;

    public BriefFile {
        formats = List.copyOf(formats);
    }

    /**
     * Puts it in a file whole.
     *
     * @throws IOException with words for the user if it can't be written or the name is taken
     */
    public void write(Path file, WriteGuard guard, IfTaken ifTaken) throws IOException {
        guard.write(file, text().getBytes(StandardCharsets.UTF_8), ifTaken);
    }

    /**
     * Reads a file; a brief without a name is called after it.
     *
     * @throws IOException if it can't be read or is no brief; the message is for the user
     */
    public static BriefFile readNamed(Path file) throws IOException {
        BriefFile read = read(file);
        return read.name().isBlank() ? new BriefFile(String.valueOf(file.getFileName()), read.formats()) : read;
    }

    /** @throws IOException with words for the user if the file can't be read or is not a brief */
    public static BriefFile read(Path file) throws IOException {
        if (Files.size(file) > LARGEST_FILE) {
            throw new ToldException("told.exchange.file-far-larger-than-brief");
        }
        return parse(new String(Files.readAllBytes(file), StandardCharsets.UTF_8));
    }

    /** The text that {@link #parse} reads back. */
    public String text() {
        ObjectNode root = JSON.createObjectNode();
        root.put("nexaBrief", VERSION);
        root.put("name", name);
        ArrayNode list = root.putArray("formats");
        formats.forEach(format -> write(format, list.addObject()));
        try {
            return JSON.writeValueAsString(root);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static void write(Format format, ObjectNode node) {
        node.put("name", format.name());
        node.put("shape", format.shape().text());
        node.put("orientation", words(format.rule()));
        node.put("size", format.target().text());
        node.put("note", format.note());
        node.put("files", format.files().text());
        node.put("centred", format.centred());
    }

    /** Such as {@code follow photo}. */
    public static String words(OrientationRule rule) {
        return rule.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /**
     * The inverse of {@link #words}.
     *
     * @throws IllegalArgumentException with words for the user if it is none
     */
    public static OrientationRule rule(String words) {
        return Arrays.stream(OrientationRule.values())
                .filter(rule -> words(rule).equalsIgnoreCase(words.strip()))
                .findFirst()
                .orElseThrow(() -> new InvalidException("told.exchange.no-orientation-write-follow-photo", words));
    }

    /** @throws IOException with words for the user if it is not a brief */
    public static BriefFile parse(String text) throws IOException {
        JsonNode root = root(text.startsWith(BYTE_ORDER_MARK) ? text.substring(1) : text);
        if (root == null
                || !root.path("formats").isArray()
                || !root.path("nexaBrief").canConvertToInt()) {
            throw new ToldException("told.exchange.not-brief-no-nexabrief-formats");
        }
        if (root.path("nexaBrief").asInt() > VERSION) {
            throw new ToldException("told.exchange.brief-was-made-by-newer");
        }
        if (root.path("formats").size() > Brief.MOST) {
            throw new ToldException(
                    "told.exchange.too-many-formats",
                    Brief.MOST,
                    root.path("formats").size());
        }
        List<Format> formats = new ArrayList<>();
        for (JsonNode node : root.path("formats")) {
            formats.add(format(node, formats.size() + 1));
        }
        return new BriefFile(root.path("name").asText(""), formats);
    }

    private static JsonNode root(String text) throws IOException {
        try {
            return JSON.readTree(text);
        } catch (JsonProcessingException broken) {
            throw notJson(broken);
        }
    }

    /** With the place where it is broken; what is wrong there the parser says in English alone. */
    static ToldException notJson(JsonProcessingException broken) {
        JsonLocation at = broken.getLocation() == null ? JsonLocation.NA : broken.getLocation();
        return new ToldException(Told.of("told.exchange.not-json", at.getLineNr(), at.getColumnNr()), broken);
    }

    private static Format format(JsonNode node, int place) throws IOException {
        try {
            OrientationRule rule = rule(node.path("orientation").asText("follow photo"));
            return new Format(
                    place,
                    node.path("name").asText(""),
                    Shape.parse(node.path("shape").asText("")),
                    rule,
                    SizeTarget.parse(node.path("size").asText("none")),
                    node.path("note").asText(""),
                    FileSettings.parse(node.path("files").asText(FileSettings.DEFAULT.text())),
                    node.path("centred").asBoolean());
        } catch (IllegalArgumentException wrong) {
            throw new ToldException(Told.of("told.exchange.format-brief", place, Told.of(wrong)), wrong);
        }
    }
}
