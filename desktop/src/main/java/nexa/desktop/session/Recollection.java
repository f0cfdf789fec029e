package nexa.desktop.session;

import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import nexa.core.brief.Format;
import nexa.shoot.Shoot;
import nexa.shoot.photo.Photo;
import nexa.shoot.review.PhotoGrouping;
import nexa.shoot.review.PhotoOrder;

/** Where one was in a shoot, to be there again when it is opened. */
final class Recollection {
    private static final String PHOTO = "current photo";
    private static final String FORMAT = "active format";
    private static final String ORDER = "order";
    private static final String GROUPING = "grouping";
    private static final String VIEW = "view";

    private final Shoot shoot;

    Recollection(Shoot shoot) {
        this.shoot = shoot;
    }

    void photo(Photo chosen) {
        shoot.remember(PHOTO, chosen.file());
    }

    void format(Format chosen) {
        shoot.remember(FORMAT, chosen.name());
    }

    /** Puts the photos in order and together as they were, and follows both. */
    void recall(PhotoList list) {
        follow(ORDER, PhotoOrder.values(), list.orderProperty());
        follow(GROUPING, PhotoGrouping.values(), list.groupingProperty());
    }

    private <E extends Enum<E>> void follow(String name, E[] choices, ObjectProperty<E> property) {
        shoot.setting(name)
                .flatMap(text -> Stream.of(choices)
                        .filter(choice -> choice.name().equals(text))
                        .findFirst())
                .ifPresent(property::set);
        property.subscribe((before, now) -> shoot.remember(name, now.name()));
    }

    /** Goes where one was, else to the first photo and format, and follows the view. */
    void recall(Current current, Consumer<Photo> choose, ObjectProperty<MainView> view) {
        current.choose(shoot.setting(FORMAT)
                .flatMap(name -> shoot.brief().find(name))
                .or(() -> shoot.brief().formats().stream().findFirst()));
        shoot.setting(PHOTO)
                .flatMap(file -> shoot.photos().stream()
                        .filter(photo -> photo.file().equals(file))
                        .findFirst())
                .or(() -> shoot.photos().stream().findFirst())
                .ifPresent(choose);
        view.set(shoot.setting(VIEW)
                .filter(MainView.BENCH.name()::equals)
                .map(MainView::valueOf)
                .orElse(MainView.WALL));
        view.subscribe(shown -> shoot.remember(VIEW, shown.name()));
    }
}
