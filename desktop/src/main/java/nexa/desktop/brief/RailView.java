package nexa.desktop.brief;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.css.PseudoClass;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Subscription;
import nexa.core.brief.Brief;
import nexa.core.brief.Format;
import nexa.desktop.model.ShootModels;
import nexa.desktop.photo.PhotoLoader;
import nexa.desktop.session.Session;
import nexa.desktop.widget.Buttons;
import nexa.desktop.widget.InTurn;
import nexa.desktop.widget.Nodes;
import nexa.words.Words;
import org.kordamp.ikonli.javafx.FontIcon;
import org.kordamp.ikonli.materialdesign2.MaterialDesignB;
import org.kordamp.ikonli.materialdesign2.MaterialDesignC;
import org.kordamp.ikonli.materialdesign2.MaterialDesignP;

/** The brief: a card per format. Cards are reordered by dragging them. */
public final class RailView extends ScrollPane {
    private static final PseudoClass FOLDED = PseudoClass.getPseudoClass("folded");
    private static final int DIGIT_KEYS = 9;

    /** A press that moves less is a click. */
    private static final double CLICK = 6;

    /** What the rail starts that lies beside it. */
    public interface Actions {
        void edit(Format format, FormatCard beside);

        void shelf(Button beside);
    }

    private final ShootModels models;
    private final Executor fx;
    private final Session session;
    private final InTurn turns = new InTurn();
    private final FormatCard.Shared shared;
    private final Actions actions;
    private final VBox content = new VBox(16);
    private final Button add = Buttons.text("rail.add", this::openAdding);
    private final Button shelf = Buttons.text("rail.shelf", this::openShelf);
    private final Button fold = Buttons.icon(MaterialDesignC.CHEVRON_LEFT, "rail.fold", this::toggleFold);
    private final Label invitation = new Label(Words.of("rail.empty"));
    private final List<FormatCard> cards = new ArrayList<>();
    private final Subscription subscription;

    /** Folded as long as something needs the room, whatever the setting says. */
    private final BooleanProperty crowded = new SimpleBooleanProperty();

    /** Where a format is being added; a folded rail does not show it. */
    private Optional<AddFormatPane> adding = Optional.empty();

    private double pressedY;

    public RailView(ShootModels models, PhotoLoader loader, Executor fx, Actions actions) {
        this.models = models;
        this.fx = fx;
        this.session = models.session();
        this.shared = new FormatCard.Shared(loader, fx, turns, actions);
        this.actions = actions;
        getStyleClass().add("rail");
        content.getStyleClass().add("rail-content");
        invitation.getStyleClass().add("rail-invitation");
        invitation.setWrapText(true);
        add.setId("add-format");
        add.setGraphic(new FontIcon(MaterialDesignP.PLUS));
        add.getStyleClass().add("quiet");
        add.setDisable(!session.shoot().mayEdit());
        Buttons.explain(add, Words.of("rail.add.tip"));
        shelf.setId("shelf");
        shelf.setGraphic(new FontIcon(MaterialDesignB.BOOKSHELF));
        shelf.getStyleClass().add("quiet");
        Buttons.explain(shelf, Words.of("rail.shelf.tip"));
        setContent(content);
        Nodes.drawInParts(this);
        setFitToWidth(true);
        setHbarPolicy(ScrollBarPolicy.NEVER);
        fold.getStyleClass().add("small");
        fold.setId("fold");
        subscription = Subscription.combine(
                session.briefProperty().subscribe(this::showBrief),
                setting().subscribe(this::showFolded),
                crowded.subscribe(this::showFolded),
                session.formatProperty().subscribe(format -> fx.execute(this::revealActive)));
        if (session.brief().formats().isEmpty() && session.shoot().mayEdit()) {
            openAdding();
        }
    }

    private ObjectProperty<Boolean> setting() {
        return session.settings().railFoldedProperty();
    }

    /** Whether something beside it needs the room, so that it is folded until that is gone or somebody unfolds it. */
    public BooleanProperty crowdedProperty() {
        return crowded;
    }

    private boolean isFolded() {
        return setting().get() || crowded.get();
    }

    private void toggleFold() {
        if (isFolded()) {
            unfold();
        } else {
            setting().set(true);
        }
    }

    private void unfold() {
        crowded.set(false);
        setting().set(false);
    }

    private void showFolded() {
        boolean only = isFolded();
        pseudoClassStateChanged(FOLDED, only);
        ((FontIcon) fold.getGraphic()).setIconCode(only ? MaterialDesignC.CHEVRON_RIGHT : MaterialDesignC.CHEVRON_LEFT);
        Buttons.explain(fold, Words.of(only ? "rail.unfold" : "rail.fold"));
        for (ButtonBase button : List.of(add, shelf)) {
            button.setContentDisplay(only ? ContentDisplay.GRAPHIC_ONLY : ContentDisplay.LEFT);
        }
        cards.forEach(card -> card.fold(only));
        showContent();
    }

    public void dispose() {
        subscription.unsubscribe();
        disposeCards();
    }

    /** The card of the active format, which keys may have chosen. */
    private void revealActive() {
        session.format()
                .map(session.brief().formats()::indexOf)
                .filter(place -> place >= 0 && place < cards.size())
                .ifPresent(place -> Nodes.reveal(this, cards.get(place)));
    }

    private void disposeCards() {
        turns.dispose();
        cards.forEach(FormatCard::dispose);
        cards.clear();
    }

    private void showBrief(Brief brief) {
        disposeCards();
        for (Format format : brief.formats()) {
            int place = cards.size() + 1;
            FormatCard card = new FormatCard(models, format, place <= DIGIT_KEYS ? place : 0, shared);
            card.addEventHandler(MouseEvent.MOUSE_PRESSED, event -> pressedY = event.getSceneY());
            card.addEventHandler(MouseEvent.MOUSE_DRAGGED, event -> dragged(card, event.getSceneY() - pressedY));
            card.addEventHandler(MouseEvent.MOUSE_RELEASED, event -> dropped(card, format));
            card.fold(isFolded());
            cards.add(card);
        }
        closeAdding();
    }

    // ---- reordering ----

    private void dragged(FormatCard card, double way) {
        boolean moves = session.shoot().mayEdit() && (Math.abs(way) >= CLICK || card.getTranslateY() != 0);
        card.setTranslateY(moves ? way : 0);
        card.setViewOrder(moves ? -1 : 0);
    }

    /** The card goes where its middle is among the other cards. */
    private void dropped(FormatCard card, Format format) {
        double middle = card.getLayoutY() + card.getTranslateY() + card.getHeight() / 2;
        long above = cards.stream()
                .filter(other -> other != card && other.getLayoutY() + other.getHeight() / 2 < middle)
                .count();
        boolean moved = card.getTranslateY() != 0;
        card.setTranslateY(0);
        card.setViewOrder(0);
        int places = (int) above - cards.indexOf(card);
        if (moved && places != 0) {
            session.briefEdits().change("edit.brief.order", session.brief().moved(format, places));
        }
    }

    // ---- adding ----

    /** Shows the fields for a new format. */
    public void openAdding() {
        unfold();
        AddFormatPane pane = adding.orElseGet(this::adding);
        adding = Optional.of(pane);
        showContent();
        pane.focusShape();
        fx.execute(() -> Nodes.reveal(this, pane));
    }

    private AddFormatPane adding() {
        AddFormatPane pane = new AddFormatPane(session, this::closeAdding);
        pane.heightProperty().subscribe(height -> fx.execute(() -> Nodes.reveal(this, pane))); // once it is laid out
        return pane;
    }

    /** Gives up a name, or a new format, that is being typed. */
    public void endTyping(Node field) {
        cards.forEach(FormatCard::endRenaming);
        if (adding.filter(pane -> Nodes.isWithin(field, pane)).isPresent()) {
            closeAdding();
        }
    }

    private void openShelf() {
        actions.shelf(shelf);
    }

    private void closeAdding() {
        adding = Optional.empty();
        showContent();
    }

    private void showContent() {
        content.getChildren().setAll(cards);
        if (cards.isEmpty() && !isFolded()) {
            content.getChildren().add(invitation);
        }
        Region last = isFolded() ? add : adding.<Region>map(pane -> pane).orElse(add);
        content.getChildren().addAll(last, shelf, fold);
    }
}
