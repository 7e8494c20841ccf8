package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TitledPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.desktop.fields.Choice;
import zebrawood.desktop.fields.EntryField;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.fields.TypedEntry;
import zebrawood.desktop.text.Text;

/**
 * The left column of a sheet that is made of fields, choices and proofs. Enter goes to the next
 * place that is to be seen; what stands in a part that is folded is passed over.
 */
public abstract class AnsweredPane extends SteadyBox {
  private final String station;
  private final Runnable afterLast;
  private final List<Control> order = new ArrayList<>();
  private final MessageLine message;

  /**
   * @param station begins the name of every field
   * @param afterLast what Enter in the last place does
   */
  @SuppressWarnings("this-escape") // only its style class is named
  protected AnsweredPane(String station, Runnable afterLast) {
    this.station = station;
    this.afterLast = afterLast;
    message = new MessageLine(station + "-message");
    getStyleClass().add("readings");
  }

  protected final MessageLine message() {
    return message;
  }

  /** Small words, wrapped. */
  protected static Label soft(String words) {
    return new Prose(words, "soft");
  }

  /** A part that is folded until it is wanted. */
  protected static TitledPane part(String key, Node... content) {
    TitledPane part = new TitledPane(Text.of(key), new SteadyBox(4, content));
    part.setId(key.replace('.', '-'));
    part.setAnimated(false);
    part.setExpanded(false);
    // A long title is cut rather than the column widened.
    part.setMinWidth(0);
    return part;
  }

  /** A field for an entry; it comes next in the order of Enter. */
  protected final EntryField field(TypedEntry entry) {
    EntryField field = new EntryField(entry);
    field.setId(
        station + "-" + entry.name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-"));
    field.setOnAction(e -> goOn());
    order.add(field);
    return field;
  }

  /** A label, a field and a unit a row. */
  protected final GridPane grid(List<NumberEntry> entries) {
    GridPane grid = new GridPane(6, 4);
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(wide, new ColumnConstraints(92), new ColumnConstraints(48));
    for (int i = 0; i < entries.size(); i++) {
      NumberEntry entry = entries.get(i);
      EntryField field = field(entry);
      field.getStyleClass().add("reading-field");
      Label label = new Prose(entry.name());
      label.setLabelFor(field);
      grid.addRow(i, label, field, soft(entry.unit()));
    }
    return grid;
  }

  /** Headings, and below them rows of narrow fields, each with what stands behind it. */
  protected final GridPane table(
      List<String> headings, List<List<NumberEntry>> rows, List<? extends Node> behind) {
    GridPane table = new GridPane(3, 3);
    table.getStyleClass().add("dense");
    table.addRow(0, headings.stream().map(AnsweredPane::soft).toArray(Node[]::new));
    for (int i = 0; i < rows.size(); i++) {
      for (int k = 0; k < rows.get(i).size(); k++) {
        EntryField field = field(rows.get(i).get(k));
        field.setPrefColumnCount(5);
        table.add(field, k, i + 1);
      }
      if (i < behind.size()) {
        table.add(behind.get(i), rows.get(i).size(), i + 1);
      }
    }
    return table;
  }

  /** A box to choose from an enum whose words stand under {@code key.name}. */
  protected static <E extends Enum<E>> ComboBox<E> choice(
      String id, String key, List<E> values, ObjectProperty<E> chosen) {
    ComboBox<E> box =
        Choice.of(id, values, chosen, v -> Text.of(key + "." + v.name().toLowerCase(Locale.ROOT)));
    box.setMaxWidth(Double.MAX_VALUE);
    box.setAccessibleText(Text.of(key));
    return box;
  }

  /** A row for each proof, in the order given. */
  protected final <I> VBox proofRows(
      Map<I, ObjectProperty<Proven>> proofs,
      java.util.function.Function<I, String> name,
      java.util.function.Function<I, String> words) {
    VBox rows = new SteadyBox(6);
    proofs.forEach((item, proven) -> {
      ProofRow row = new ProofRow(name.apply(item), words.apply(item), proven, this::goOn);
      order.add(row.answer());
      rows.getChildren().add(row);
    });
    return rows;
  }

  private void goOn() {
    int from = order.indexOf(getScene().getFocusOwner()) + 1;
    order.stream()
        .skip(from)
        .filter(AnsweredPane::seen)
        .findFirst()
        .ifPresentOrElse(AnsweredPane::focus, afterLast);
  }

  /** Whether no part around it is folded. */
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

  private static void focus(Control control) {
    control.requestFocus();
    if (control instanceof EntryField field) {
      field.selectAll();
    }
  }

  /** Forgets the order of Enter, before a part is laid out anew. */
  protected final void forget(List<? extends Node> nodes) {
    order.removeIf(c -> nodes.stream().anyMatch(n -> within(c, n)));
  }

  private static boolean within(Node node, Node outer) {
    for (Node n = node; n != null; n = n.getParent()) {
      if (n == outer) {
        return true;
      }
    }
    return false;
  }

  /** Puts the focus on the first place, whatever stands there. */
  public final void focusStart() {
    order.stream().filter(AnsweredPane::seen).findFirst().ifPresent(AnsweredPane::focus);
  }

  /** Puts the focus on the first place that has nothing yet. */
  public void focusNextEmpty() {
    order.stream()
        .filter(AnsweredPane::seen)
        .filter(c -> c instanceof EntryField f && f.getText().isBlank() || unanswered(c))
        .findFirst()
        .ifPresentOrElse(AnsweredPane::focus, afterLast);
  }

  /** Whether this is an answer that is still open. */
  protected boolean unanswered(Control control) {
    return control.getStyleClass().contains(ProofRow.ANSWER)
        && control.getPseudoClassStates().contains(ProofRow.OPEN);
  }

  /**
   * Shows where a practice stands; nothing on a sheet without one.
   *
   * @param words empty when there is none
   */
  protected void showPractice(String words) {}

  /** The field that has the focus, so that what it understood is shown. */
  public final void setFocused(Optional<EntryField> field) {
    message.setFocused(field);
  }
}
