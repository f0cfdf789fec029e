package nexa.shoot.exchange;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.stream.Stream;
import nexa.core.naming.NameTemplate;
import nexa.core.told.Told;
import nexa.imaging.file.ToldException;
import nexa.shoot.handover.request.Collision;

/**
 * A whole handover under a name, to be made of any shoot: what goes where and is called what.
 *
 * @param folder where files go; of a shoot's own folder if it is relative
 * @param taken what is done where a name is taken
 * @param alternates whether kept alternates are delivered too
 * @param brief the formats, under the handover's name
 */
public record KeptHandover(Path folder, NameTemplate names, Collision taken, boolean alternates, BriefFile brief) {
    private static final ObjectMapper JSON = new ObjectMapper();

    public String name() {
        return brief.name();
    }

    /** Where it puts the files of a shoot. */
    public Path folderOf(Path shoot) {
        return shoot.resolve(folder).normalize();
    }

    /** A folder as it is kept: relative if it lies in the shoot, so that another shoot's files go into its own. */
    public static Path kept(Path folder, Path shoot) {
        return folder.startsWith(shoot) ? shoot.relativize(folder) : folder;
    }

    /** The text that {@link #parse} reads back. */
    String text() {
        try {
            ObjectNode root = JSON.createObjectNode();
            root.put("folder", folder.toString());
            root.put("names", names.text());
            root.put("taken", taken.name());
            root.put("alternates", alternates);
            root.set("brief", JSON.readTree(brief.text()));
            return JSON.writeValueAsString(root);
        } catch (JsonProcessingException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    /** @throws IOException with words for the user if it is none */
    static KeptHandover parse(String text) throws IOException {
        try {
            JsonNode root = JSON.readTree(text);
            return new KeptHandover(
                    Path.of(root.path("folder").asText()),
                    new NameTemplate(root.path("names").asText()),
                    Stream.of(Collision.values())
                            .filter(each ->
                                    each.name().equals(root.path("taken").asText()))
                            .findFirst()
                            .orElse(Collision.NUMBER),
                    root.path("alternates").asBoolean(),
                    BriefFile.parse(root.path("brief").toString()));
        } catch (JsonProcessingException broken) {
            throw BriefFile.notJson(broken);
        } catch (InvalidPathException elsewhere) { // of another system
            throw new ToldException(Told.of("told.exchange.no-folder-here", elsewhere.getInput()), elsewhere);
        } catch (IllegalArgumentException wrong) {
            throw new ToldException(Told.of(wrong), wrong);
        }
    }
}
