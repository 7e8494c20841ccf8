package zebrawood.desktop.sheet;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableBooleanValue;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import javafx.scene.TraversalDirection;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TitledPane;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.text.Text;
import zebrawood.words.Message;

/**
 * The parts of a form, one below the other. Enter goes to the next place that is to be seen; what
 * stands in a part that is folded is passed over. Holds nothing and decides nothing.
 */
public final class FormPane extends HeightCachingBox {
  private final StationForm form;
  private final Optional<PracticeBar> practiceBar;
  private final EnterOrder order;
  private final MessageLine message;

  /**
   * @param afterLast what Enter in the last place does
   */
  public FormPane(
      StationForm form, List<Part> parts, Optional<PracticeBar> practiceBar, Runnable afterLast) {
    this.form = form;
    order = new EnterOrder(this, afterLast);
    this.practiceBar = practiceBar;
    message = new MessageLine(form.station() + "-message");
    getStyleClass().add("readings");
    getChildren().addAll(nodes(parts));
  }

  String station() {
    return form.station();
  }

  public MessageLine message() {
    return message;
  }

  /** The id of a field's control: the station and the field's name. */
  public static String idOf(String station, Field field) {
    return switch (field) {
      case ProofField proof -> "proof-" + proof.item();
      default ->
          station
              + "-"
              + field
                  .name()
                  .replaceFirst("^(reading|visit)\\.", "")
                  .replaceAll("(?<=[a-z])(?=[A-Z])", "-")
                  .replaceAll("[._]", "-")
                  .toLowerCase(Locale.ROOT);
    };
  }

  private List<Node> nodes(List<Part> parts) {
    return parts.stream()
        .flatMap(p ->
            p instanceof Part.Together(var several) ? nodes(several).stream() : Stream.of(node(p)))
        .toList();
  }

  private Node node(Part part) {
    return switch (part) {
      case Part.Heading(Message words, Message right) ->
          SheetFrame.columnTitle(Text.of(words), soft(Text.of(right)));
      case Part.Rows(var fields) -> rows(fields);
      case Part.LabelledChoices(var fields) -> labelled(fields);
      case Part.Table table -> FormTables.table(this, table);
      case Part.GrowingRows growing -> new GrowingTable(this, growing);
      case Part.Hint(Message words) -> soft(Text.of(words));
      case Part.LiveText live -> live(live);
      case Part.Fold(String id, Message title, var parts) -> fold(id, title, parts);
      case Part.OpenWhile(var open, Part.Fold(String id, Message title, var parts)) -> {
        TitledPane fold = fold(id, title, parts);
        open.subscribe(fold::setExpanded);
        yield fold;
      }
      case Part.ShownWhile(var shown, var parts) -> shownWhile(shown, parts);
      case Part.Redrawn(var when, var parts) -> redrawn(when, parts);
      case Part.Area area -> area(area);
      case Part.ReadingStatus s -> message;
      case Part.PracticeEntry(var choices) -> practiceEntry(choices);
      case Part.Press press -> button(press);
      case Part.FileName file -> new FileField(file, this);
      case Part.CustomNode(NodeView view) -> view.make(this);
      case Part.CustomNode(var other) -> throw new IllegalArgumentException("no node for " + other);
      case Part.Together(var several) -> box(several);
    };
  }

  /** A part's node, for what stands in a station's own. */
  public Node make(Part part) {
    return node(part);
  }

  private VBox box(List<Part> parts) {
    VBox box = new HeightCachingBox(6);
    box.getChildren().addAll(nodes(parts));
    return box;
  }

  /** Small words, wrapped. */
  public static Label soft(String words) {
    return new WrappedLabel(words, "soft");
  }

  /** A control for a field; it comes next in the order of Enter. */
  public Control control(Field field) {
    Control control =
        switch (field) {
          case QuantityField quantity -> typed(quantity);
          case WordsField words -> typed(words);
          case ChoiceField<?> choice -> Choices.box(idOf(form.station(), choice), choice);
          case ProofField proof -> throw new IllegalArgumentException(proof.name());
        };
    control.setId(idOf(form.station(), field));
    mark(control, field);
    order.add(control);
    if (control instanceof ComboBox<?> box) {
      box.setOnKeyPressed(e -> {
        if (e.getCode() == KeyCode.ENTER && !box.isShowing()) {
          e.consume();
          order.goOn();
        }
      });
    }
    return control;
  }

  private static void mark(Node control, Field field) {
    control.getProperties().put(Field.class, field);
    Topic.mark(control, field.label().key());
  }

  /** The field that is typed or answered there. */
  public static Optional<Field> fieldOf(Node node) {
    return node != null && node.getProperties().get(Field.class) instanceof Field field
        ? Optional.of(field)
        : Optional.empty();
  }

  private TypedControl typed(TypedField field) {
    TypedControl control = new TypedControl(field);
    control.setOnAction(e -> order.goOn());
    return control;
  }

  private Node rows(List<? extends Field> fields) {
    VBox box = new HeightCachingBox(4);
    GridPane grid = null;
    for (Field field : fields) {
      switch (field) {
        case ProofField proof -> {
          grid = null;
          box.getChildren().add(proof(proof));
        }
        case ChoiceField<?> choice -> {
          grid = null;
          box.getChildren().add(control(choice));
        }
        default -> {
          if (grid == null) {
            grid = grid();
            box.getChildren().add(grid);
          }
          row(grid, field);
        }
      }
    }
    return box;
  }

  private static GridPane grid() {
    GridPane grid = new GridPane(6, 4);
    ColumnConstraints wide = new ColumnConstraints();
    wide.setHgrow(Priority.ALWAYS);
    grid.getColumnConstraints().addAll(wide, new ColumnConstraints(92), new ColumnConstraints(48));
    return grid;
  }

  private void row(GridPane grid, Field field) {
    Control control = control(field);
    control.getStyleClass().add("reading-field");
    Label label = new WrappedLabel(Text.words().line(field.label()));
    label.setLabelFor(control);
    int row = grid.getRowCount();
    if (field instanceof QuantityField quantity) {
      grid.addRow(row, label, control, unit(quantity));
    } else {
      control.getStyleClass().remove("reading-field");
      grid.add(label, 0, row);
      grid.add(control, 1, row, 2, 1);
    }
  }

  /** The unit follows the display. */
  private static Label unit(QuantityField field) {
    Label unit = soft("");
    unit.textProperty()
        .bind(Bindings.createStringBinding(field::symbol, field.shownUnitProperty()));
    return unit;
  }

  /** A row for something to prove. */
  private Node proof(ProofField field) {
    ProofRow row = new ProofRow(field, order::goOn);
    mark(row.answer(), field);
    order.add(row.answer());
    return row;
  }

  private Node labelled(List<? extends Field> fields) {
    GridPane grid = new GridPane(6, 4);
    for (Field field : fields) {
      Control control = control(field);
      control.setPrefWidth(136);
      Label label = soft(Text.words().line(field.label()));
      label.setLabelFor(control);
      label.setPrefWidth(120);
      grid.addRow(grid.getRowCount(), label, control);
    }
    return grid;
  }

  private Node live(Part.LiveText live) {
    Label words = soft("");
    live.words()
        .subscribe(w -> {
          words.setText(Text.of(w));
          words.setVisible(!w.isEmpty());
          words.setManaged(!w.isEmpty());
        });
    return words;
  }

  private TitledPane fold(String id, Message title, List<Part> parts) {
    VBox content = new HeightCachingBox(4);
    content.getChildren().addAll(nodes(parts));
    TitledPane fold = new TitledPane(Text.of(title), content);
    fold.setId(id);
    fold.setAnimated(false);
    fold.setExpanded(false);
    // A long title is cut rather than the column widened.
    fold.setMinWidth(0);
    return fold;
  }

  private Node shownWhile(ObservableBooleanValue shown, List<Part> parts) {
    VBox box = box(parts);
    box.visibleProperty().bind(shown);
    box.managedProperty().bind(box.visibleProperty());
    return box;
  }

  /** The way into a practice, with what is chosen first; Enter passes it over. */
  private Node practiceEntry(List<Part> choices) {
    VBox box = new VBox(6);
    practiceBar.ifPresent(box.getChildren()::add);
    order.leavingOut(() -> box.getChildren().addAll(nodes(choices)));
    return box;
  }

  private Node redrawn(ObservableValue<?> when, Supplier<List<Part>> parts) {
    VBox box = new HeightCachingBox(6);
    when.subscribe(now -> order.replacing(box, () -> box.getChildren().setAll(nodes(parts.get()))));
    return box;
  }

  private static Node button(Part.Press press) {
    Button button = new Button(Text.of(press.words()));
    button.setId(press.id());
    button.setOnAction(e -> press.run().run());
    return button;
  }

  private Node area(Part.Area area) {
    TextArea text = new TextArea();
    text.setId(idOf(form.station(), area.field()));
    text.setAccessibleText(Text.of(area.field().label()));
    text.setPromptText(Text.of(area.prompt()));
    text.setPrefRowCount(area.rows());
    mark(text, area.field());
    text.textProperty().bindBidirectional(area.field().textProperty());
    area.field()
        .problemProperty()
        .subscribe(p -> text.pseudoClassStateChanged(TypedControl.UNUSABLE, p.isPresent()));
    // Tab leaves it as it leaves any other place; nobody types tabs into settings.
    text.addEventFilter(
        KeyEvent.KEY_PRESSED,
        e -> {
          if (e.getCode() == KeyCode.TAB) {
            e.consume();
            text.requestFocusTraversal(
                e.isShiftDown() ? TraversalDirection.PREVIOUS : TraversalDirection.NEXT);
          }
        });
    order.add(text);
    return text;
  }

  /** Goes to the next place that is to be seen. */
  public void goOn() {
    order.goOn();
  }

  /** Puts the focus on a field, where it is to be seen. */
  void focus(Field field) {
    order.focus(field);
  }

  /** Puts the focus on the first place, whatever stands there. */
  public void focusStart() {
    order.focusStart();
  }

  /** Puts the focus on the first place that has nothing yet. */
  public void focusNextEmpty() {
    order.focusNextEmpty();
  }

  /** The places in the order of Enter. */
  EnterOrder enterOrder() {
    return order;
  }

  /** The places in the order of Enter, for tests. */
  public List<Control> order() {
    return order.all();
  }
}
