package nexa.desktop.setting;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import nexa.core.overlay.Overlay;
import nexa.core.overlay.OverlayChoice;

/** The overlays that take part when one steps to the next, in their order. */
public record OverlayCycle(List<Overlay> overlays) {
    public static final OverlayCycle DEFAULT = new OverlayCycle(List.of(
            Overlay.THIRDS,
            Overlay.GRID,
            Overlay.GOLDEN_RATIO,
            Overlay.GOLDEN_SPIRAL,
            Overlay.DIAGONALS,
            Overlay.TRIANGLES,
            Overlay.CENTRE));

    public OverlayCycle {
        overlays = overlays.stream().distinct().sorted().toList();
    }

    public boolean has(Overlay overlay) {
        return overlays.contains(overlay);
    }

    /** With the overlay if it was not there, without it if it was. */
    public OverlayCycle toggled(Overlay overlay) {
        EnumSet<Overlay> changed = EnumSet.noneOf(Overlay.class);
        changed.addAll(overlays);
        if (!changed.remove(overlay)) {
            changed.add(overlay);
        }
        return new OverlayCycle(List.copyOf(changed));
    }

    /** The next one behind what is shown, as it was drawn; after the last, none; after none, the first. */
    public OverlayChoice after(OverlayChoice shown) {
        int from = shown.overlay().map(Overlay::ordinal).orElse(-1);
        Optional<Overlay> next =
                overlays.stream().filter(overlay -> overlay.ordinal() > from).findFirst();
        return new OverlayChoice(next, 0);
    }

    /** The text that {@link #parse} reads back. */
    public String text() {
        return overlays.stream().map(Enum::name).collect(Collectors.joining(" "));
    }

    /** @throws IllegalArgumentException if it names what is no overlay */
    public static OverlayCycle parse(String text) {
        return new OverlayCycle(Arrays.stream(text.split(" "))
                .filter(name -> !name.isEmpty())
                .map(Overlay::valueOf)
                .toList());
    }
}
