package nexa.desktop.session;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.List;
import java.util.Map;
import java.util.Set;
import nexa.imaging.file.Probe;
import nexa.imaging.file.Trouble;
import nexa.shoot.photo.Photo;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Which photos an adjustment is for, without a window. */
class SelectionTest {
    private final Selection.Around around = mock(Selection.Around.class);
    private final Selection selection = new Selection(around);
    private final Photo bowl = photo(1);
    private final Photo jug = photo(2);
    private final Photo plate = photo(3);

    private static Photo photo(long id) {
        return photo(id, "print " + id);
    }

    private static Photo photo(long id, String fingerprint) {
        return new Photo(id, id + ".jpg", fingerprint, Probe.unreadable(Trouble.Kind.EMPTY));
    }

    @BeforeEach
    void begin() {
        when(around.current()).thenReturn(List.of(plate));
        when(around.listed()).thenReturn(List.of(jug, bowl));
        when(around.ordered(Set.of(bowl, jug))).thenReturn(List.of(jug, bowl));
        when(around.view()).thenReturn(MainView.WALL);
    }

    @Test
    void nothingSelected_meansTheCurrentPhoto() {
        assertEquals(List.of(plate), selection.chosen());
        assertEquals(List.of(plate), selection.adjusted());
        assertFalse(selection.isOfSeveral());
    }

    @Test
    void selected_areAdjustedInTheirOrder_butOnTheBenchOnlyTheCurrentOne() {
        selection.property().set(Set.of(bowl, jug));
        assertEquals(List.of(jug, bowl), selection.adjusted());
        assertTrue(selection.isOfSeveral());
        when(around.view()).thenReturn(MainView.BENCH);
        assertEquals(List.of(plate), selection.adjusted());
        assertFalse(selection.isOfSeveral());
    }

    @Test
    void toggled_theCurrentPhotoIsSelectedToo_andNoLonger() {
        selection.toggle();
        assertEquals(Set.of(plate), selection.photos());
        when(around.current()).thenReturn(List.of(jug));
        selection.toggle();
        assertEquals(Set.of(plate, jug), selection.photos());
        selection.toggle();
        assertEquals(Set.of(plate), selection.photos());
        when(around.view()).thenReturn(MainView.BENCH);
        selection.toggle();
        assertEquals(Set.of(plate), selection.photos(), "on the Bench nobody would see it");
    }

    @Test
    void selectTo_takesAllBetween_inBothDirections() {
        when(around.listed()).thenReturn(List.of(jug, bowl, plate));
        selection.selectTo();
        assertEquals(Set.of(plate), selection.photos(), "there is none to begin from");
        selection.property().set(Set.of());
        selection.toggle();
        when(around.current()).thenReturn(List.of(jug));
        selection.selectTo();
        assertEquals(Set.of(jug, bowl, plate), selection.photos());
        selection.property().set(Set.of());
        selection.toggle();
        when(around.current()).thenReturn(List.of(bowl));
        selection.selectTo();
        assertEquals(Set.of(jug, bowl), selection.photos());
    }

    @Test
    void selectAll_takesThoseOneGoesThrough() {
        selection.selectAll();
        assertEquals(Set.of(bowl, jug), selection.photos());
    }

    @Test
    void changedFile_staysSelected() {
        selection.property().set(Set.of(bowl, jug));
        Photo changed = photo(1, "another print");
        selection.replace(Map.of(1L, changed));
        assertEquals(Set.of(changed, jug), selection.photos());
    }
}
