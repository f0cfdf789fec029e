package nexa.shoot;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import nexa.imaging.codec.PhotoCodecs;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Remark;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Picture data that are looked through, on real files. */
class SoundnessTest {
    @TempDir
    Path folder;

    private final List<String> found = new ArrayList<>();
    private Photo whole;
    private Photo spoiled;

    @BeforeEach
    void makePhotos() throws IOException {
        byte[] bytes = Files.readAllBytes(Path.of("..", "demo", "fennick-kiln", "kiln_0202.jpg"));
        whole = photo(1, "whole.jpg", bytes);
        Arrays.fill(bytes, bytes.length / 2, bytes.length / 2 + 400, (byte) 0x5A);
        spoiled = photo(2, "spoiled.jpg", bytes);
    }

    private Photo photo(long id, String name, byte[] bytes) throws IOException {
        return new Photo(
                id, name, "print of " + name, PhotoCodecs.STANDARD.probe(Files.write(folder.resolve(name), bytes)));
    }

    private Soundness soundness(Set<String> known) {
        return new Soundness(PhotoCodecs.STANDARD, photo -> folder.resolve(photo.file()), known, found::add);
    }

    @Test
    void wholeContents_areLookedThroughOnce() throws IOException {
        Soundness soundness = soundness(Set.of());
        assertFalse(soundness.isDamaged(whole));
        Files.copy(folder.resolve("spoiled.jpg"), folder.resolve("whole.jpg"), StandardCopyOption.REPLACE_EXISTING);
        assertFalse(soundness.isDamaged(whole), "it is not opened again");
        assertEquals(List.of(whole.fingerprint()), found);
        assertFalse(
                soundness(Set.of(spoiled.fingerprint())).isDamaged(spoiled), "what was found before is not looked at");
    }

    @Test
    void damage_isFound_andToldOnlyWhereItIsNotKnown() {
        Soundness soundness = soundness(Set.of());
        assertTrue(soundness.isDamaged(spoiled));
        Map<Photo, Probe> damaged = soundness.damaged(List.of(whole, spoiled), () -> true);
        assertEquals(Set.of(spoiled), damaged.keySet());
        Probe.Readable said = (Probe.Readable) damaged.get(spoiled);
        assertTrue(said.facts().remarks().contains(Remark.DAMAGED));
        Photo known = new Photo(spoiled.id(), spoiled.file(), spoiled.fingerprint(), said);
        assertTrue(soundness.isDamaged(known));
        assertEquals(Map.of(), soundness.damaged(List.of(known), () -> true));
    }

    @Test
    void looking_endsWhenItIsToldTo() {
        assertEquals(Map.of(), soundness(Set.of()).damaged(List.of(whole, spoiled), () -> false));
        assertEquals(List.of(), found);
    }

    @Test
    void fileThatIsGone_isNotCalledDamaged_andNotSoundEither() throws IOException {
        Files.delete(folder.resolve("whole.jpg"));
        assertFalse(soundness(Set.of()).isDamaged(whole));
        assertEquals(List.of(), found);
    }
}
