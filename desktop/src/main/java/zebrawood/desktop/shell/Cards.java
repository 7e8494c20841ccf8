package zebrawood.desktop.shell;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/**
 * Lays one card at a time over the page. While it is there the page beneath takes no keys; Escape
 * or a click beside it closes it, and the focus goes back to where it was.
 */
final class Cards extends StackPane {
  private final Node beneath;
  private Node focusBefore;
  private Runnable otherwise = () -> {};
  private Runnable leave = this::close;

  Cards(Node beneath) {
    this.beneath = beneath;
    getStyleClass().add("cards");
    setVisible(false);
    addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            e.consume();
            leave.run();
          }
        });
    setOnMousePressed(e -> {
      if (e.getTarget() == this) {
        leave.run();
      }
    });
  }

  void open(Region card, Node focusFirst) {
    open(card, focusFirst, this::close);
  }

  /**
   * Lays a card over the page.
   *
   * @param onLeave what Escape or a click beside it does instead of closing it
   */
  void open(Region card, Node focusFirst, Runnable onLeave) {
    leave = onLeave;
    if (!isOpen()) {
      focusBefore = getScene() == null ? null : getScene().getFocusOwner();
    }
    card.getStyleClass().add("card");
    card.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    StackPane.setAlignment(card, Pos.TOP_CENTER);
    getChildren().setAll(card);
    setVisible(true);
    beneath.setDisable(true);
    // What scrolls has no content in the scene before it is styled.
    card.applyCss();
    focusFirst.requestFocus();
  }

  /**
   * Runs what a card confirms, once the initials are known. The card comes back when they had to be
   * asked for, and stays until whoever confirmed it closes it.
   */
  void whileOpen(zebrawood.desktop.station.SheetHost host, Runnable confirmed) {
    Region card = (Region) getChildren().getFirst();
    Node focus = getScene().getFocusOwner();
    Runnable left = leave;
    host.withInitials(() -> {
      if (!getChildren().contains(card)) {
        open(card, focus == null ? card : focus, left);
      }
      confirmed.run();
    });
  }

  /** What is done with the focus when what had it before is gone. */
  void setOtherwise(Runnable run) {
    otherwise = run;
  }

  boolean isOpen() {
    return isVisible();
  }

  void close() {
    if (!isOpen()) {
      return;
    }
    setVisible(false);
    getChildren().clear();
    beneath.setDisable(false);
    if (focusBefore != null && focusBefore.getScene() != null) {
      focusBefore.requestFocus();
    } else {
      otherwise.run();
    }
  }
}
