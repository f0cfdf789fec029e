package nexa.shoot.scan;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import nexa.imaging.file.FileKind;

/**
 * Files of one photo: a raw file and one finished picture (JPEG or HEIC) of the same name in the same folder.
 *
 * @param shown the files that are photos, in their order
 * @param companions by a shown file the other one of its pair
 */
public record Pairs(List<Path> shown, Map<Path, Path> companions) {
    public Pairs {
        shown = List.copyOf(shown);
        companions = Map.copyOf(companions);
    }

    /** Of files in a folder and those below it. Where several files could belong together none do. */
    public static Pairs of(List<Path> files, PairShown wanted) {
        if (wanted == PairShown.APART) {
            return new Pairs(files, Map.of());
        }
        Map<String, List<Path>> byName = new HashMap<>();
        for (Path file : files) {
            if (isOf(FileKind.RAW, file) || isFinished(file)) {
                byName.computeIfAbsent(named(file), unused -> new ArrayList<>()).add(file);
            }
        }
        Map<Path, Path> companions = new HashMap<>();
        for (List<Path> together : byName.values()) {
            if (together.size() == 2
                    && isOf(FileKind.RAW, together.getFirst()) != isOf(FileKind.RAW, together.getLast())) {
                boolean isRawFirst = isOf(FileKind.RAW, together.getFirst());
                Path raw = isRawFirst ? together.getFirst() : together.getLast();
                Path finished = isRawFirst ? together.getLast() : together.getFirst();
                companions.put(wanted == PairShown.RAW ? raw : finished, wanted == PairShown.RAW ? finished : raw);
            }
        }
        List<Path> shown =
                files.stream().filter(file -> !companions.containsValue(file)).toList();
        return new Pairs(shown, companions);
    }

    private static boolean isFinished(Path file) {
        return isOf(FileKind.JPEG, file) || isOf(FileKind.HEIF, file);
    }

    private static boolean isOf(FileKind kind, Path file) {
        String name = file.getFileName().toString();
        return kind.endings().contains(name.substring(name.lastIndexOf('.') + 1).toLowerCase(Locale.ROOT));
    }

    /** Without its ending; cameras write endings in letters of either case. */
    private static String named(Path file) {
        return file.toString().replaceFirst("\\.[^.]+$", "");
    }
}
