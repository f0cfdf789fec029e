package nexa.shoot;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import nexa.shoot.scan.FolderScan.Listing;
import nexa.shoot.scan.FoundFile;
import nexa.shoot.scan.PairShown;
import nexa.shoot.scan.Pairs;
import nexa.shoot.scan.RelativePath;

/**
 * What one look into a shoot's folder found.
 *
 * @param found the files of photos: those that did not change, and some of the others
 * @param news how many of them are new or changed
 * @param more whether there are more such ones, left for the next look
 * @param companions by a photo's file the other one of its pair, both relative to the folder
 * @param others how many pictures are of kinds that Nexa does not read
 */
record FolderFiles(List<FoundFile> found, int news, boolean more, Map<String, String> companions, int others) {
    /**
     * Compares.
     *
     * @param listing what the folder holds now
     * @param before the files as they were known
     * @param settled asked about each new or changed file: whether it is written to its end
     * @param mostNew how many new or changed files are taken at most
     */
    static FolderFiles of(
            Path folder,
            Listing listing,
            PairShown shown,
            Map<String, FoundFile> before,
            Predicate<FoundFile> settled,
            int mostNew) {
        Pairs pairs = Pairs.of(listing.photos(), shown);
        List<FoundFile> found = new ArrayList<>();
        int news = 0;
        boolean more = false;
        for (FoundFile file : named(folder, pairs.shown())) {
            if (file.equals(before.get(file.file()))) {
                found.add(file);
            } else if (news == mostNew) {
                more = true;
            } else if (settled.test(file)) {
                found.add(file);
                news++;
            }
        }
        return new FolderFiles(found, news, more, companions(folder, pairs), listing.others());
    }

    /** Two names that the system's encoding says alike are told apart by a number. */
    private static List<FoundFile> named(Path folder, List<Path> files) {
        Set<String> names = new HashSet<>();
        List<FoundFile> found = new ArrayList<>();
        for (Path file : files) {
            FoundFile each = FoundFile.of(folder, file);
            FoundFile named = each;
            for (int n = 2; !names.add(named.file()); n++) {
                named = each.named(each.file() + " (" + n + ")");
            }
            found.add(named);
        }
        return found;
    }

    private static Map<String, String> companions(Path folder, Pairs pairs) {
        return pairs.companions().entrySet().stream()
                .collect(Collectors.toUnmodifiableMap(
                        pair -> RelativePath.of(folder, pair.getKey()),
                        pair -> RelativePath.of(folder, pair.getValue())));
    }
}
