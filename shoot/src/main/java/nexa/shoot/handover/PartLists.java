package nexa.shoot.handover;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import nexa.imaging.file.ToldException;
import nexa.shoot.Shoot;
import nexa.shoot.handover.request.Part;
import nexa.shoot.scan.DeliveredFiles;
import nexa.shoot.scan.RelativePath;
import nexa.shoot.scan.Sha256;

/** The lists that the parts of a delivery leave, {@code handover-2-of-4.json}, and how they become one. */
public final class PartLists {
    private static final ObjectMapper JSON = new ObjectMapper();

    private PartLists() {}

    static Path file(Path folder, Part part) {
        return folder.resolve("handover" + part.suffix() + ".json");
    }

    /**
     * Joins the lists of all parts in a folder, once every file of theirs is there as it was delivered.
     *
     * @return how many files there are
     * @throws IOException with words for the user if a part is missing, unfinished or of another plan, or a file is missing
     *     or changed
     */
    public static int join(Shoot shoot, Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            throw new ToldException("told.handover.no-parts", folder);
        }
        Path real = folder.toRealPath();
        return new Manifest(real, shoot.guard().inside(real), shoot.seal()).join(all(real));
    }

    private static List<Path> all(Path folder) throws IOException {
        List<Path> lists = new ArrayList<>();
        Set<String> plans = new HashSet<>();
        int of = parts(folder);
        for (int number = 1; number <= of; number++) {
            Part part = new Part(number, of);
            Path list = file(folder, part);
            if (Journal.isIn(folder, Optional.of(part))) {
                throw new ToldException("told.handover.part-unfinished", number, of);
            }
            if (!Files.isRegularFile(list, LinkOption.NOFOLLOW_LINKS)) {
                throw new ToldException("told.handover.part-missing", number, of);
            }
            plans.add(JSON.readTree(list.toFile()).path("plan").asText());
            lists.add(list);
        }
        if (plans.size() != 1) {
            throw new ToldException("told.handover.parts-of-several-plans", folder);
        }
        return lists;
    }

    /** Into how many parts the delivery in a folder was cut. */
    private static int parts(Path folder) throws IOException {
        Set<Integer> cuts = new HashSet<>();
        try (DirectoryStream<Path> parts = DeliveredFiles.parts(folder)) {
            for (Path each : parts) {
                Matcher matcher = DeliveredFiles.PART.matcher(each.getFileName().toString());
                if (matcher.matches()) {
                    cuts.add(Integer.parseInt(matcher.group(1)));
                }
            }
        }
        if (cuts.size() > 1) {
            throw new ToldException("told.handover.parts-of-several-plans", folder);
        }
        return cuts.stream().findFirst().orElseThrow(() -> new ToldException("told.handover.no-parts", folder));
    }

    /** @throws IOException with words for the user if a listed file is not there as it was delivered */
    static void requireWhole(Path folder, Collection<? extends JsonNode> entries) throws IOException {
        for (JsonNode entry : entries) {
            String name = entry.path("file").asText();
            Path file = RelativePath.resolve(folder, name)
                    .filter(there -> Files.isRegularFile(there, LinkOption.NOFOLLOW_LINKS))
                    .orElseThrow(() -> new ToldException("told.handover.part-lacks-file", name));
            boolean isSame = Files.size(file) == entry.path("bytes").asLong(-1)
                    && Sha256.of(file).equals(entry.path("sha256").asText());
            if (!isSame) {
                throw new ToldException("told.handover.part-has-other-file", name);
            }
        }
    }
}
