package nexa.imaging.lens;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import nexa.core.lens.data.CameraProfile;
import nexa.core.lens.data.LensProfile;
import org.junit.jupiter.api.Test;

/** The index is made from the files; the environment variable NEXA_INDEX names where to write it anew. */
class LensIndexTest {
    @Test
    void index_isThatOfTheFiles() throws IOException {
        List<String> lines = new ArrayList<>();
        Map<String, Set<String>> compatible = new TreeMap<>();
        List<String> names = new String(LensIndex.bytes("files.txt"), StandardCharsets.UTF_8)
                .lines()
                .toList();
        assertEquals(54, names.size());
        for (String name : names) {
            byte[] bytes = LensIndex.bytes(name);
            LensFile file = LensFile.read(new ByteArrayInputStream(bytes));
            assertEquals(List.of(), file.leftOut(), name);
            file.compatible().forEach((mount, others) -> compatible
                    .computeIfAbsent(mount, m -> new TreeSet<>())
                    .addAll(others));
            file.cameras().stream().map(LensIndexTest::line).forEach(lines::add);
            lines.addAll(lenses(name, bytes));
        }
        compatible.forEach((mount, others) -> lines.add("mount\t" + mount + "\t" + String.join("¦", others)));
        String index = String.join("\n", lines) + "\n";
        if (System.getenv("NEXA_INDEX") != null) {
            Files.writeString(Path.of(System.getenv("NEXA_INDEX")), index);
        }
        assertEquals(new String(LensIndex.bytes("index.tsv"), StandardCharsets.UTF_8), index);
    }

    private static String line(CameraProfile camera) {
        return String.join(
                "\t", "camera", camera.maker(), String.join("¦", camera.models()), camera.mount(), "" + camera.crop());
    }

    /** Each lens is read by itself from its place, and says the same as in the whole file. */
    private static List<String> lenses(String name, byte[] bytes) {
        List<LensFile.Measured> expected =
                LensFile.read(new ByteArrayInputStream(bytes)).lenses();
        String text = new String(bytes, StandardCharsets.ISO_8859_1);
        List<String> lines = new ArrayList<>();
        int at = 0;
        for (LensFile.Measured lens : expected) {
            at = text.indexOf("<lens>", at);
            while (inComment(text, at)) {
                at = text.indexOf("<lens>", at + 1);
            }
            int end = text.indexOf("</lens>", at) + "</lens>".length();
            LensFile part = LensFile.read(new ByteArrayInputStream(bytes, at, end - at));
            assertEquals(List.of(lens), part.lenses(), name);
            if (!lens.calibration().isNone()) {
                lines.add(line(lens.lens()) + "\t" + name + "\t" + at + "\t" + (end - at));
            }
            at = end;
        }
        return lines;
    }

    private static boolean inComment(String text, int at) {
        return text.lastIndexOf("<!--", at) > text.lastIndexOf("-->", at);
    }

    private static String line(LensProfile lens) {
        assertTrue(lens.models().stream().noneMatch(model -> model.contains("¦") || model.contains("\t")));
        return String.join(
                "\t",
                "lens",
                lens.maker(),
                String.join("¦", lens.models()),
                String.join("¦", lens.mounts()),
                "" + lens.crop(),
                "" + lens.aspect(),
                lens.focals().stream().map(String::valueOf).collect(Collectors.joining("¦")));
    }
}
