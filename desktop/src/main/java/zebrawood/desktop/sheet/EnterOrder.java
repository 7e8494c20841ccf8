package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.control.Control;
import javafx.scene.control.TextArea;
import javafx.scene.control.TitledPane;
import zebrawood.desktop.form.Field;

/**
 * The places of a form in the order in which Enter goes through them. What stands in a part that is
 * folded or hidden is passed over.
 */
final class EnterOrder {
  private final Node form;
  private final Runnable afterLast;
  private final List<Control> places = new ArrayList<>();

  /**
   * @param afterLast what Enter in the last place does
   */
  EnterOrder(Node form, Runnable afterLast) {
    this.form = form;
    this.afterLast = afterLast;
  }

  List<Control> all() {
    return List.copyOf(places);
  }

  int size() {
    return places.size();
  }

  /** It comes next. */
  void add(Control place) {
    places.add(place);
  }

  /**
   * Makes the content of a box anew: its new places take the old ones' turn.
   *
   * @param make adds them as they come
   */
  void replacing(Node box, Runnable make) {
    int at = placeOf(box);
    List<Control> behind = new ArrayList<>(places.subList(at, places.size()));
    places.subList(at, places.size()).clear();
    behind.removeIf(c -> within(c, box));
    make.run();
    places.addAll(behind);
  }

  /** What is made here can be reached by Tab alone. */
  void leavingOut(Runnable make) {
    int before = places.size();
    make.run();
    places.subList(before, places.size()).clear();
  }

  /** Where a box's places begin; at the end while it has none. */
  private int placeOf(Node box) {
    for (int i = 0; i < places.size(); i++) {
      if (within(places.get(i), box)) {
        return i;
      }
    }
    return places.size();
  }

  private static boolean within(Node node, Node outer) {
    for (Node n = node; n != null; n = n.getParent()) {
      if (n == outer) {
        return true;
      }
    }
    return false;
  }

  /** Goes to the next place that is to be seen. */
  void goOn() {
    Node focused = form.getScene().getFocusOwner();
    int from = 0;
    for (int i = 0; i < places.size(); i++) {
      if (within(focused, places.get(i))) {
        from = i + 1;
      }
    }
    places.stream()
        .skip(from)
        .filter(EnterOrder::seen)
        .findFirst()
        .ifPresentOrElse(EnterOrder::focus, afterLast);
  }

  /** Whether no part around it is folded or hidden. */
  private static boolean seen(Node node) {
    for (Node n = node; n != null; n = n.getParent()) {
      if (n.getParent() instanceof TitledPane part && !part.isExpanded()) {
        return false;
      }
      if (!n.isVisible()) {
        return false;
      }
    }
    return node.getScene() != null;
  }

  static void focus(Control control) {
    control.requestFocus();
    if (control instanceof TypedControl field) {
      field.selectAll();
    }
  }

  /** Puts the focus on a field, where it is to be seen. */
  void focus(Field field) {
    first(c -> FormPane.fieldOf(c).filter(field::equals).isPresent()).ifPresent(EnterOrder::focus);
  }

  /** Puts the focus on the first place, whatever stands there. */
  void focusStart() {
    first(c -> true).ifPresent(EnterOrder::focus);
  }

  /** Puts the focus on the first place that has nothing yet. */
  void focusNextEmpty() {
    first(EnterOrder::open).ifPresentOrElse(EnterOrder::focus, afterLast);
  }

  private Optional<Control> first(Predicate<Control> wanted) {
    return places.stream().filter(EnterOrder::seen).filter(wanted).findFirst();
  }

  private static boolean open(Control control) {
    return control instanceof TypedControl field && field.getText().isBlank()
        || control instanceof TextArea area && area.getText().isBlank()
        || control.getStyleClass().contains(ProofRow.ANSWER)
            && control.getPseudoClassStates().contains(ProofRow.OPEN);
  }
}
