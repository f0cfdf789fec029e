package nexa.desktop.brief;

import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.value.ObservableValue;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.util.Subscription;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.geometry.Frame;
import nexa.core.geometry.Orientation;
import nexa.core.shape.OrientationRule;
import nexa.core.space.PhotoSpace;
import nexa.desktop.model.Counts;
import nexa.desktop.model.ShootModels;
import nexa.desktop.paint.LevelView;
import nexa.desktop.paint.PhotoPainter;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.photo.ScreenPhoto;
import nexa.desktop.picture.FramePicture;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.DrawnPane;
import nexa.shoot.photo.Photo;
import nexa.words.Words;
import org.jspecify.annotations.Nullable;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;
import org.kordamp.ikonli.materialdesign2.MaterialDesignD;

/** One format of the brief: the current photo's live result, and how that is; outside the Bench, how far the shoot is. */
public final class FormatCard extends VBox {
    private static final PseudoClass ACTIVE = PseudoClass.getPseudoClass("active");
    private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");
    private static final double LIVE_WIDTH = 142;
    private static final double LIVE_HEIGHT = 96;
    private static final double FOLDED_WIDTH = 52;
    private static final double PLAIN_WIDTH = 74;
    private static final double PLAIN_HEIGHT = 58;

    private final Session session;
    private final Counts counts;
    private final RailView.Actions actions;
    private final Format format;
    private final FramePicture picture;
    private final Label name = new Label();
    private final StackPane nameHolder = new StackPane(name);
    private final Label note = new Label();
    private final ContextMenu menu = new ContextMenu();
    private final DrawnPane drawing = new Drawing();
    private final StackPane holder = new StackPane(drawing);
    private final Subscription subscriptions;
    private final Tooltip tip = new Tooltip();
    private final VBox caption;
    private boolean folded;
    private @Nullable Drawn drawn;

    /** @param digit the key that chooses this format; 0 = none */
    FormatCard(
            ShootModels models, Format format, int digit, PhotoLoader loader, Executor fx, RailView.Actions actions) {
        super(5);
        this.session = models.session();
        this.counts = models.counts();
        this.actions = actions;
        this.format = format;
        this.picture = new FramePicture(session.shoot(), loader, fx, this::refresh);
        getStyleClass().add("format-card");
        fillMenu();
        nameHolder.setAlignment(Pos.CENTER_LEFT);
        setId("format-" + format.id());
        setAccessibleRole(AccessibleRole.RADIO_BUTTON);
        holder.setAlignment(Pos.CENTER_LEFT);
        caption = caption(digit);
        caption.managedProperty().bind(caption.visibleProperty());
        getChildren().addAll(holder, caption);
        setOnMousePressed(event -> session.choose(format));
        setFocusTraversable(true);
        setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.SPACE || event.getCode() == KeyCode.ENTER) {
                session.choose(format);
                event.consume();
            }
        });
        ObservableValue<MainView> view = session.viewProperty();
        subscriptions = Subscription.combine(
                session.formatProperty().subscribe(active -> {
                    pseudoClassStateChanged(ACTIVE, isActive());
                    notifyAccessibleAttributeChanged(AccessibleAttribute.SELECTED);
                }),
                session.photoProperty().subscribe(this::showPhoto),
                session.framingProperty().subscribe(framing -> refresh()),
                session.editsProperty().subscribe(count -> refresh()),
                counts.countedProperty().subscribe(counted -> refresh()),
                view.subscribe(shown -> refresh()));
    }

    private boolean isActive() {
        return session.format().filter(active -> active.id() == format.id()).isPresent();
    }

    @Override
    public Object queryAccessibleAttribute(AccessibleAttribute attribute, Object... parameters) {
        return attribute == AccessibleAttribute.SELECTED
                ? (Object) isActive()
                : super.queryAccessibleAttribute(attribute, parameters);
    }

    @Override
    public void executeAccessibleAction(AccessibleAction action, Object... parameters) {
        if (action == AccessibleAction.FIRE) {
            session.choose(format);
        } else {
            super.executeAccessibleAction(action, parameters);
        }
    }

    private void fillMenu() {
        Brief brief = session.brief();
        menu.getItems()
                .addAll(
                        item("rail.edit", () -> actions.edit(format, this)),
                        item("rail.rename", this::rename),
                        item("rail.duplicate", () -> session.briefEdits()
                                .change("edit.brief.duplicate", brief.duplicated(format))));
        menu.getItems()
                .addAll(
                        item("rail.up", () -> session.briefEdits().change("edit.brief.order", brief.moved(format, -1))),
                        item("rail.down", () -> session.briefEdits()
                                .change("edit.brief.order", brief.moved(format, 1))),
                        new SeparatorMenuItem());
        ToggleGroup lying = new ToggleGroup();
        for (OrientationRule rule : OrientationRule.values()) {
            RadioMenuItem item = new RadioMenuItem(Words.of("rule", rule));
            item.setToggleGroup(lying);
            item.setSelected(format.rule() == rule);
            item.setOnAction(
                    event -> session.briefEdits().change("edit.brief.rule", brief.changed(format.lying(rule))));
            menu.getItems().add(item);
        }
        menu.getItems().addAll(new SeparatorMenuItem(), item("rail.remove.item", () -> session.briefEdits()
                .remove(format)));
    }

    private static MenuItem item(String words, Runnable action) {
        MenuItem item = new MenuItem(Words.of(words));
        item.setId(words);
        item.setOnAction(event -> action.run());
        return item;
    }

    /** The name becomes a field until Enter or Esc; a name that is taken is kept in it, marked. */
    private void rename() {
        TextField field = new TextField(format.name());
        field.setId("rename");
        field.getStyleClass().add("rename");
        field.setOnAction(event -> {
            try {
                session.briefEdits()
                        .change("edit.brief.rename", session.brief().changed(format.named(field.getText())));
                nameHolder.getChildren().setAll(name);
            } catch (IllegalArgumentException refused) {
                field.pseudoClassStateChanged(REFUSED, true);
                Buttons.explain(field, Words.of(refused));
            }
        });
        field.setOnKeyPressed(event -> {
            if (event.getCode() == KeyCode.ESCAPE) {
                nameHolder.getChildren().setAll(name);
            }
        });
        nameHolder.getChildren().setAll(field);
        field.requestFocus();
        field.selectAll();
    }

    private VBox caption(int digit) {
        name.setText(Words.name(format.name()));
        name.getStyleClass().add("format-name");
        note.getStyleClass().add("format-note");
        Label key = new Label(Integer.toString(digit));
        key.getStyleClass().add("key");
        key.setVisible(digit > 0);
        Button remove = Buttons.icon(
                MaterialDesignC.CLOSE, "rail.remove", () -> session.briefEdits().remove(format));
        Buttons.explain(remove, Words.of("rail.remove", format.name()));
        remove.getStyleClass().add("small");
        remove.setId("remove-" + format.id());
        remove.visibleProperty().bind(hoverProperty());
        Button more = Buttons.icon(MaterialDesignD.DOTS_HORIZONTAL, "rail.more", () -> {});
        more.setOnAction(event -> menu.show(more, Side.BOTTOM, 0, 0));
        more.getStyleClass().add("small");
        more.setId("more-" + format.id());
        more.visibleProperty().bind(hoverProperty().and(menu.showingProperty().not()));
        HBox hovered = new HBox(2, more, remove);
        hovered.setMaxSize(USE_PREF_SIZE, USE_PREF_SIZE);
        StackPane.setAlignment(hovered, Pos.TOP_RIGHT);
        holder.getChildren().add(hovered);
        setOnContextMenuRequested(event -> menu.show(this, event.getScreenX(), event.getScreenY()));
        HBox first = new HBox(6, nameHolder, key);
        HBox.setHgrow(nameHolder, Priority.ALWAYS);
        nameHolder.setMinWidth(0);
        key.setMinWidth(USE_PREF_SIZE);
        first.setAlignment(Pos.CENTER_LEFT);
        VBox caption = new VBox(1, first, note);
        caption.setMaxWidth(LIVE_WIDTH);
        return caption;
    }

    /** Whether nothing but the result shows. */
    void fold(boolean only) {
        folded = only;
        caption.setVisible(!only);
        Tooltip.uninstall(this, tip);
        if (only) {
            Tooltip.install(this, tip);
        }
        reshape();
    }

    void dispose() {
        subscriptions.unsubscribe();
        picture.clear();
    }

    private void showPhoto(Optional<Photo> photo) {
        photo.ifPresentOrElse(p -> picture.show(p, PhotoLoader.SMALL), picture::clear);
        refresh();
    }

    /** Whether there is a result of the current photo to be seen. */
    private boolean live() {
        return session.moment().frame(format).isPresent();
    }

    private boolean isOfOnePhoto() {
        return live() && session.viewProperty().get() == MainView.BENCH;
    }

    /** What the picture was last drawn of: a frame of another format leaves this card as it is. */
    private record Drawn(
            Optional<Frame> frame,
            Optional<PhotoSpace> space,
            Optional<ScreenPhoto> pixels,
            Optional<ScreenPhoto> filled,
            boolean live) {}

    private void refresh() {
        Drawn now = now();
        note.setText(isOfOnePhoto() ? stateWords() : progressWords());
        if (!now.equals(drawn)) {
            drawn = now;
            reshape();
        }
    }

    private Drawn now() {
        Optional<Frame> frame = session.moment().frame(format);
        Optional<PhotoSpace> space = session.space();
        Optional<ScreenPhoto> filled = frame.flatMap(
                f -> space.flatMap(s -> picture.filled(s, f, session.framing().fill(format))));
        return new Drawn(frame, space, space.flatMap(picture::corrected), filled, live());
    }

    private void reshape() {
        double aspect = live() ? session.moment().frame(format).orElseThrow().aspect() : plainAspect();
        double wide = folded ? FOLDED_WIDTH : live() ? LIVE_WIDTH : PLAIN_WIDTH;
        double scale = Math.min(wide / aspect, live() ? LIVE_HEIGHT : PLAIN_HEIGHT);
        double width = Math.max(6, Math.round(aspect * scale));
        double height = Math.max(6, Math.round(scale));
        drawing.setMinSize(width, height);
        drawing.setMaxSize(width, height);
        drawing.setPrefSize(width, height);
        setAccessibleText(Words.of("rail.card", format.name(), format.shape().text(), note.getText()));
        tip.setText(getAccessibleText());
        drawing.redraw();
    }

    private String stateWords() {
        Format held =
                session.framing().crop(format).map(crop -> crop.held(format)).orElse(format);
        String own =
                held.shape().equals(format.shape()) ? "" : " → " + held.shape().text();
        String state = (warned() ? "⚠ " : "") + Words.of(session.framing().state(format));
        String heldShape = isNamedByItsShape() && own.isEmpty() ? "" : shapeWords() + own + " · ";
        return heldShape + (session.frameEdits().showsBlank(format) ? Words.of("rail.blank") : state);
    }

    /** Whether something may be wrong with the current photo's frame in this format. */
    private boolean warned() {
        return session.photo()
                .filter(photo -> !session.shoot().warnings(photo, format).isEmpty())
                .isPresent();
    }

    private String progressWords() {
        Counts.Counted counted = counts.counted();
        int checked = counted.in(FrameState.CHECKED, format);
        int touched = counted.in(FrameState.PLACED, format) + checked;
        int warned = counted.warned(format);
        return (isNamedByItsShape() ? "" : shapeWords() + " · ")
                + Words.of("rail.progress", touched, counted.working())
                + (checked > 0 ? " · ✓ " + checked : "")
                + (warned > 0 ? " · ⚠ " + warned : "");
    }

    /** Then the shape is said above already. */
    private boolean isNamedByItsShape() {
        return format.name().equalsIgnoreCase(format.shape().text());
    }

    private String shapeWords() {
        return format.shape().text().toLowerCase(Locale.ROOT);
    }

    private double plainAspect() {
        return format.aspect(Orientation.HORIZONTAL, 1.5, 1.5);
    }

    private final class Drawing extends DrawnPane {
        @Override
        public void draw(GraphicsContext canvas, double width, double height) {
            canvas.setFill(live() ? Color.gray(0.82) : Color.WHITE);
            canvas.fillRect(0, 0, width, height);
            if (live()) {
                Frame frame = session.moment().frame(format).orElseThrow();
                PhotoSpace space = session.space().orElseThrow();
                PhotoPainter painter = new PhotoPainter(canvas, LevelView.filling(frame, width, height));
                picture.draw(painter, space, frame, session.framing().fill(format));
            } else {
                canvas.setStroke(Color.gray(0.66));
                canvas.strokeRect(0.5, 0.5, width - 1, height - 1);
            }
        }
    }
}
