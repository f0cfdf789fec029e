package nexa.desktop.setting;

import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import nexa.core.carry.By;
import nexa.core.carry.Opposite;
import nexa.core.carry.Part;
import nexa.core.exact.Reference;
import nexa.core.exact.Unit;
import nexa.core.overlay.OverlayChoice;
import nexa.core.overlay.OverlayOptions;
import nexa.core.shape.Shape;
import nexa.shoot.Preferences;
import nexa.words.Languages;
import nexa.words.PrintUnit;

/** What the user set, for all shoots. Each value is kept as soon as it changes. */
public final class Settings {
    private static final int MOST_SHAPES = 60;
    private static final double USUAL_PPI = 300;
    private static final int USUAL_NEXT = 5;
    private static final double WALL_SIZE = 176;
    private static final double POINTER_REACH = 10;
    private static final double PEN_REACH = 18;

    private final Preferences preferences;
    private final ObjectProperty<OverlayChoice> overlay;
    private final ObjectProperty<OverlayCycle> cycle;
    private final ObjectProperty<OverlayShow> overlayShow;
    private final ObjectProperty<OverlayLook> overlayLook;
    private final ObjectProperty<OverlayOptions> overlayOptions;
    private final ObjectProperty<Mover> mover;
    private final ObjectProperty<MatTone> matTone;
    private final ObjectProperty<Double> matStrength;
    private final ObjectProperty<Boolean> snapping;
    private final ObjectProperty<Boolean> neighbours;
    private final ObjectProperty<Boolean> railFolded;
    private final ObjectProperty<Double> wallSize;
    private final ObjectProperty<Boolean> pen;
    private final ObjectProperty<Beside> beside;
    private final ObjectProperty<List<String>> shapes;
    private final ObjectProperty<Set<Part>> carryParts;
    private final ObjectProperty<Opposite> carryOpposite;
    private final ObjectProperty<By> carryBy;
    private final ObjectProperty<CarryTo> carryTo;
    private final ObjectProperty<Integer> carryNext;
    private final ObjectProperty<Boolean> carryToArrivals;
    private final ObjectProperty<Boolean> followArrivals;
    private final ObjectProperty<Boolean> look;
    private final ObjectProperty<Double> plumbFar;
    private final ObjectProperty<Unit> unit;
    private final ObjectProperty<Reference> reference;
    private final ObjectProperty<Double> ppi;
    private final ObjectProperty<Set<Hint>> hintsTaken;
    private final ObjectProperty<String> language;
    private final ObjectProperty<PrintUnit> printUnit;
    private final PictureSettings pictures;

    public Settings(Preferences preferences) {
        this.preferences = preferences;
        pictures = new PictureSettings(preferences);
        language = kept(Languages.SETTING, Languages.AS_SYSTEM, text -> text, text -> text);
        printUnit = kept(PrintUnit.SETTING, PrintUnit.AS_SYSTEM, PrintUnit::valueOf, Enum::name);
        overlay = kept("overlay", OverlayChoice.DEFAULT, OverlayChoice::parse, OverlayChoice::text);
        cycle = kept("overlay cycle", OverlayCycle.DEFAULT, OverlayCycle::parse, OverlayCycle::text);
        overlayShow = kept("overlay show", OverlayShow.ALWAYS, OverlayShow::valueOf, Enum::name);
        overlayLook = kept("overlay look", OverlayLook.DEFAULT, OverlayLook::parse, OverlayLook::text);
        overlayOptions =
                kept("overlay options", OverlayOptions.DEFAULT, OverlayOptionsText::parse, OverlayOptionsText::of);
        mover = kept("mover", Mover.FRAME, Mover::valueOf, Enum::name);
        matTone = kept("mat tone", MatTone.AUTO, MatTone::valueOf, Enum::name);
        matStrength = kept("mat strength", 0.7, text -> Math.clamp(Kept.number(text), 0, 1), String::valueOf);
        snapping = kept("snapping", true, Boolean::valueOf, String::valueOf);
        neighbours = kept("neighbours", true, Boolean::valueOf, String::valueOf);
        railFolded = kept("rail folded", false, Boolean::valueOf, String::valueOf);
        wallSize = kept("wall size", WALL_SIZE, Kept::number, String::valueOf);
        pen = kept("pen", false, Boolean::valueOf, String::valueOf);
        beside = kept("beside", Beside.TWO_PHOTOS, Beside::valueOf, Enum::name);
        shapes = kept("shapes", List.of(), Settings::shapes, list -> String.join("\n", list));
        carryParts = kept(
                "carry parts",
                EnumSet.of(Part.SHAPE, Part.PLACE, Part.TILT),
                names -> named(names, Part::valueOf),
                Settings::names);
        carryOpposite = kept("carry opposite", Opposite.TURN, Opposite::valueOf, Enum::name);
        carryBy = kept("carry by", By.PLACE, By::valueOf, Enum::name);
        carryTo = kept("carry to", CarryTo.ALL, CarryTo::valueOf, Enum::name);
        carryNext = kept("carry next", USUAL_NEXT, text -> Math.max(1, Integer.parseInt(text)), String::valueOf);
        carryToArrivals = kept("carry to arrivals", false, Boolean::valueOf, String::valueOf);
        look = kept("look", true, Boolean::valueOf, String::valueOf);
        followArrivals = kept("follow arrivals", false, Boolean::valueOf, String::valueOf);
        plumbFar = kept("plumb far", 1.0, text -> Math.clamp(Kept.number(text), 0, 1), String::valueOf);
        hintsTaken = kept("hints taken", Set.of(), names -> named(names, Hint::valueOf), Settings::names);
        unit = kept("unit", Unit.PIXEL, Unit::valueOf, Enum::name);
        reference = kept("reference", Reference.TOP_LEFT, Reference::valueOf, Enum::name);
        ppi = kept("ppi", USUAL_PPI, text -> Math.clamp(Kept.number(text), 1, 10_000), String::valueOf);
    }

    private <T> ObjectProperty<T> kept(String name, T usual, Function<String, T> parse, Function<T, String> text) {
        return Kept.property(preferences, name, usual, parse, text);
    }

    private static String names(Set<? extends Enum<?>> values) {
        return values.stream().map(Enum::name).sorted().collect(Collectors.joining(" "));
    }

    private static <E> Set<E> named(String names, Function<String, E> valueOf) {
        return Stream.of(names.split(" "))
                .filter(name -> !name.isEmpty())
                .map(valueOf)
                .collect(Collectors.toSet());
    }

    private static List<String> shapes(String lines) {
        return lines.lines().filter(Settings::isShape).toList();
    }

    private static boolean isShape(String text) {
        try {
            Shape.parse(text);
            return true;
        } catch (IllegalArgumentException notOne) { // then the usual one is
            return false;
        }
    }

    /** Memory, disk and colours for pictures. */
    public PictureSettings pictures() {
        return pictures;
    }

    /** The tag of the language that is spoken from the next start on; see {@link Languages}. */
    public ObjectProperty<String> languageProperty() {
        return language;
    }

    /** What sizes on paper are said in. */
    public ObjectProperty<PrintUnit> printUnitProperty() {
        return printUnit;
    }

    /** The first steps that were taken, which are not pointed out any more. */
    public ObjectProperty<Set<Hint>> hintsTakenProperty() {
        return hintsTaken;
    }

    public ObjectProperty<OverlayChoice> overlayProperty() {
        return overlay;
    }

    /** Whether all that is pressed is large enough for a pen or a finger. */
    public ObjectProperty<Boolean> penProperty() {
        return pen;
    }

    /** How near to an edge, a corner or a mark one takes hold of it, in units of the window. */
    public double reach() {
        return pen.get() ? PEN_REACH : POINTER_REACH;
    }

    /** What is looked at side by side. */
    public ObjectProperty<Beside> besideProperty() {
        return beside;
    }

    /** Which overlays the next-overlay key steps through. */
    public ObjectProperty<OverlayCycle> cycleProperty() {
        return cycle;
    }

    public ObjectProperty<OverlayShow> overlayShowProperty() {
        return overlayShow;
    }

    public ObjectProperty<OverlayLook> overlayLookProperty() {
        return overlayLook;
    }

    public ObjectProperty<OverlayOptions> overlayOptionsProperty() {
        return overlayOptions;
    }

    /** How far photos are plumbed that were not yet, 0 to 1: as far as the last one. */
    public ObjectProperty<Double> plumbFarProperty() {
        return plumbFar;
    }

    /** What a drag inside the frame moves. */
    public ObjectProperty<Mover> moverProperty() {
        return mover;
    }

    public ObjectProperty<MatTone> matToneProperty() {
        return matTone;
    }

    /** 0 = clear, 1 = opaque. */
    public ObjectProperty<Double> matStrengthProperty() {
        return matStrength;
    }

    public ObjectProperty<Boolean> snappingProperty() {
        return snapping;
    }

    /** Whether the photos beside the current one peek in at the Bench. */
    public ObjectProperty<Boolean> neighboursProperty() {
        return neighbours;
    }

    /** Whether the rail is no more than a strip of results. */
    public ObjectProperty<Boolean> railFoldedProperty() {
        return railFolded;
    }

    /** How large photos are on the Wall: the edge of a square one in canvas units, about. */
    public ObjectProperty<Double> wallSizeProperty() {
        return wallSize;
    }

    /** Shapes somebody typed, as typed, newest first. */
    public ObjectProperty<List<String>> shapesProperty() {
        return shapes;
    }

    /** Remembers a typed shape in front of the others. */
    public void rememberShape(String typed) {
        String text = typed.strip();
        List<String> longer = Stream.concat(
                        Stream.of(text), shapes.get().stream().filter(other -> !other.equals(text)))
                .limit(MOST_SHAPES)
                .toList();
        shapes.set(longer);
    }

    /** What of a crop is carried. */
    public ObjectProperty<Set<Part>> carryPartsProperty() {
        return carryParts;
    }

    /** What becomes of photos lying the other way when a crop is carried. */
    public ObjectProperty<Opposite> carryOppositeProperty() {
        return carryOpposite;
    }

    /** How a carried place is understood. */
    public ObjectProperty<By> carryByProperty() {
        return carryBy;
    }

    /** Which photos a crop is carried to. */
    public ObjectProperty<CarryTo> carryToProperty() {
        return carryTo;
    }

    /** How many photos {@link CarryTo#NEXT} means. */
    public ObjectProperty<Integer> carryNextProperty() {
        return carryNext;
    }

    /** Whether photos that arrive take over what was carried last. */
    public ObjectProperty<Boolean> carryToArrivalsProperty() {
        return carryToArrivals;
    }

    /** Whether a photo that arrives becomes the current one. */
    public ObjectProperty<Boolean> followArrivalsProperty() {
        return followArrivals;
    }

    /** Whether photos are looked at by themselves, so that frames keep people and subjects. */
    public ObjectProperty<Boolean> lookProperty() {
        return look;
    }

    public ObjectProperty<Unit> unitProperty() {
        return unit;
    }

    public ObjectProperty<Reference> referenceProperty() {
        return reference;
    }

    /** Pixels per inch that print sizes are counted at. */
    public ObjectProperty<Double> ppiProperty() {
        return ppi;
    }
}
