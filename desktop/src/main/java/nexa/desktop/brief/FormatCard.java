package nexa.desktop.brief;

import java.util.concurrent.Executor;
import javafx.beans.value.ObservableValue;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.AccessibleAction;
import javafx.scene.AccessibleAttribute;
import javafx.scene.AccessibleRole;
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
import javafx.util.Subscription;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.core.brief.FrameState;
import nexa.core.shape.OrientationRule;
import nexa.desktop.model.Counts;
import nexa.desktop.model.ShootModels;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.MainView;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.InTurn;
import nexa.words.ShapeWords;
import nexa.words.Words;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;
import org.kordamp.ikonli.materialdesign2.MaterialDesignD;

/** One format of the brief: the current photo's live result, and how that is; outside the Bench, how far the shoot is. */
public final class FormatCard extends VBox {
    private static final PseudoClass ACTIVE = PseudoClass.getPseudoClass("active");
    private static final PseudoClass REFUSED = PseudoClass.getPseudoClass("refused");
    private final Session session;
    private final Counts counts;
    private final RailView.Actions actions;
    private final Format format;
    private final boolean isNamedByItsShape; // then the shape is said above already
    private final CardPicture picture;
    private final Label name = new Label();
    private final StackPane nameHolder = new StackPane(name);
    private final Label note = new Label();
    private final ContextMenu menu = new ContextMenu();
    private final StackPane holder;
    private final Subscription subscriptions;
    private final Tooltip tip = new Tooltip();
    private final VBox caption;

    /**
     * What the cards of a rail share.
     *
     * @param turns in which they follow what is dragged
     */
    record Shared(PhotoLoader loader, Executor fx, InTurn turns, RailView.Actions actions) {}

    /** @param digit the key that chooses this format; 0 = none */
    FormatCard(ShootModels models, Format format, int digit, Shared shared) {
        super(5);
        this.session = models.session();
        this.counts = models.counts();
        this.actions = shared.actions;
        this.format = format;
        this.isNamedByItsShape = ShapeWords.isSaidByName(format);
        this.picture = new CardPicture(session, format, shared.loader, shared.fx, this::refresh);
        Runnable follow = this::refresh;
        this.holder = new StackPane(picture);
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
                session.photoProperty().subscribe(photo -> {
                    picture.show(photo);
                    refresh();
                }),
                session.framingProperty().subscribe(framing -> shared.turns.ask(follow)),
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
                endRenaming();
            } catch (IllegalArgumentException refused) {
                field.pseudoClassStateChanged(REFUSED, true);
                Buttons.explain(field, Words.of(refused));
            }
        });
        nameHolder.getChildren().setAll(field);
        field.requestFocus();
        field.selectAll();
    }

    /** The name as it is, if another was being typed. */
    void endRenaming() {
        nameHolder.getChildren().setAll(name);
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
        caption.setMaxWidth(CardPicture.LIVE_WIDTH);
        return caption;
    }

    /** Whether nothing but the result shows. */
    void fold(boolean only) {
        picture.fold(only);
        caption.setVisible(!only);
        Tooltip.uninstall(this, tip);
        if (only) {
            Tooltip.install(this, tip);
        }
        tell();
    }

    void dispose() {
        subscriptions.unsubscribe();
        picture.dispose();
    }

    private boolean isOfOnePhoto() {
        return picture.isLive() && session.viewProperty().get() == MainView.BENCH;
    }

    private void refresh() {
        note.setText(isOfOnePhoto() ? stateWords() : progressWords());
        picture.refresh();
        tell();
    }

    private void tell() {
        setAccessibleText(Words.of("rail.card", format.name(), ShapeWords.of(format.shape()), note.getText()));
        tip.setText(getAccessibleText());
    }

    private String stateWords() {
        Format held =
                session.framing().crop(format).map(crop -> crop.held(format)).orElse(format);
        String own = held.shape().equals(format.shape()) ? "" : " → " + ShapeWords.of(held.shape());
        String state = (warned() ? "⚠ " : "") + Words.of(session.framing().state(format));
        String heldShape = isNamedByItsShape && own.isEmpty() ? "" : shapeWords() + own + " · ";
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
        return (isNamedByItsShape ? "" : shapeWords() + " · ")
                + Words.of("rail.progress", touched, counted.working())
                + (checked > 0 ? " · ✓ " + checked : "")
                + (warned > 0 ? " · ⚠ " + warned : "");
    }

    private String shapeWords() {
        return ShapeWords.of(format.shape());
    }
}
