package zebrawood.desktop.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.beans.binding.Bindings;
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
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.text.Text;
import zebrawood.words.Message;

/**
 * The parts of a form, one below the other. Enter goes to the next place that is to be seen; what
 * stands in a part that is folded is passed over. Holds nothing and decides nothing.
 */
public final class FormPane extends HeightCachingBox {
  private static final int NARROW_COLUMNS = 5;
  private final StationForm form;
  private final Runnable afterLast;
  private final Optional<PracticeBar> practiceBar;
  private final List<Control> order = new ArrayList<>();
  private final MessageLine message;

  /**
   * @param afterLast what Enter in the last place does
   */
  public FormPane(
      StationForm form, List<Part> parts, Optional<PracticeBar> practiceBar, Runnable afterLast) {
    this.form = form;
    this.afterLast = afterLast;
    this.practiceBar = practiceBar;
    message = new MessageLine(form.station() + "-message");
    getStyleClass().add("readings");
    parts.forEach(part -> getChildren().add(node(part)));
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

  private Node node(Part part) {
    return switch (part) {
      case Part.Heading(Message words, Message right) ->
          SheetFrame.columnTitle(Text.of(words), soft(Text.of(right)));
      case Part.Rows(var fields) -> rows(fields);
      case Part.Labelled(var fields) -> labelled(fields);
      case Part.Table(var headings, var rows) -> table(headings, rows);
      case Part.Rowed rowed -> rowed(rowed);
      case Part.Hint(Message words) -> soft(Text.of(words));
      case Part.Live live -> live(live);
      case Part.Fold(String id, Message title, var parts) -> fold(id, title, parts);
      case Part.OpenWhile(var open, Part.Fold(String id, Message title, var parts)) -> {
        TitledPane fold = fold(id, title, parts);
        open.subscribe(fold::setExpanded);
        yield fold;
      }
      case Part.When when -> when(when);
      case Part.Anew anew -> anew(anew);
      case Part.Area area -> area(area);
      case Part.Told t -> message;
      case Part.Practising p -> practiceBar.<Node>map(b -> b).orElseGet(VBox::new);
      case Part.Press press -> button(press);
      case Part.Own(var make) -> make.apply(this);
    };
  }

  /** A part's node, for what stands in a station's own. */
  public Node make(Part part) {
    return node(part);
  }

  private VBox box(List<Part> parts) {
    VBox box = new HeightCachingBox(6);
    parts.forEach(part -> box.getChildren().add(node(part)));
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
          goOn();
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
  static Optional<Field> fieldOf(Node node) {
    return node != null && node.getProperties().get(Field.class) instanceof Field field
        ? Optional.of(field)
        : Optional.empty();
  }

  private TypedControl typed(TypedField field) {
    TypedControl control = new TypedControl(field);
    control.setOnAction(e -> goOn());
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
  private Label unit(QuantityField field) {
    Label unit = soft(field.symbol());
    unit.getProperties().put(QuantityField.class, field);
    return unit;
  }

  /** A column's heading with the unit that is typed below it. */
  private static Label heading(Message words, Field below) {
    Label heading = soft("");
    if (below instanceof QuantityField field && !words.isEmpty()) {
      heading.getProperties().put(QuantityField.class, field);
      heading.getProperties().put(Message.class, words);
    }
    heading.setText(headed(words, below));
    return heading;
  }

  private static String headed(Message words, Field below) {
    return below instanceof QuantityField field && !field.symbol().isEmpty() && !words.isEmpty()
        ? Text.of("words.comma", words, field.symbol())
        : Text.of(words);
  }

  private static List<Node> headings(List<Message> words, List<? extends Field> below, int named) {
    List<Node> headings = new ArrayList<>();
    for (int i = 0; i < words.size(); i++) {
      int at = i - named;
      headings.add(
          at >= 0 && at < below.size()
              ? heading(words.get(i), below.get(at))
              : soft(Text.of(words.get(i))));
    }
    return headings;
  }

  /** Shows units as they are now. */
  public void refreshUnits() {
    lookupAll(".soft")
        .forEach(node -> {
          if (node instanceof Label label
              && label.getProperties().get(QuantityField.class) instanceof QuantityField field) {
            label.setText(
                label.getProperties().get(Message.class) instanceof Message words
                    ? headed(words, field)
                    : field.symbol());
          }
        });
  }

  /** A row for something to prove. */
  private Node proof(ProofField field) {
    ProofRow row = new ProofRow(field, this::goOn);
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

  private Node table(List<Message> headings, List<Part.TableRow> rows) {
    GridPane table = new GridPane(4, 4);
    table.getStyleClass().add("bed-grid");
    boolean named = rows.stream().anyMatch(r -> !r.words().isEmpty());
    if (named) {
      ColumnConstraints wide = new ColumnConstraints();
      wide.setHgrow(Priority.ALWAYS);
      table.getColumnConstraints().add(wide);
    }
    int most = rows.stream().mapToInt(r -> r.fields().size()).max().orElse(0);
    for (int i = 0; i < most; i++) {
      table.getColumnConstraints().add(new ColumnConstraints(most > 2 ? 58 : 74));
    }
    table.addRow(
        0, headings(headings, rows.getFirst().fields(), named ? 1 : 0).toArray(Node[]::new));
    for (Part.TableRow row : rows) {
      List<Node> nodes = new ArrayList<>();
      if (named) {
        nodes.add(new WrappedLabel(Text.words().line(row.words())));
      }
      for (Field field : row.fields()) {
        Control control = control(field);
        control.getStyleClass().add("reading-field");
        nodes.add(control);
      }
      table.addRow(table.getRowCount(), nodes.toArray(Node[]::new));
    }
    return table;
  }

  private Node rowed(Part.Rowed rowed) {
    Group<?> group = rowed.group();
    VBox box = new HeightCachingBox(4);
    Button another = new Button(Text.of(rowed.another()));
    another.setId(
        form.station() + "-" + rowed.another().key().replaceAll("^[^.]*\\.", "").replace('.', '-'));
    another.setOnAction(e -> {
      int before = order.size();
      group.grow();
      if (order.size() > before) {
        fieldsShown(group, group.size() - 1).stream().findFirst().ifPresent(FormPane::focus);
      }
    });
    another
        .disableProperty()
        .bind(Bindings.createBooleanBinding(() -> !group.canGrow(), group.rowsProperty()));
    group
        .rowsProperty()
        .subscribe(rows -> {
          int at = placeOf(box);
          List<Control> behind = new ArrayList<>(order.subList(at, order.size()));
          order.subList(at, order.size()).clear();
          behind.removeIf(c -> within(c, box));
          box.getChildren().setAll(rowsOf(rowed), another);
          order.addAll(behind);
        });
    return box;
  }

  private List<Control> fieldsShown(Group<?> group, int row) {
    List<String> ids = group.fieldsOf(row).stream().map(f -> idOf(form.station(), f)).toList();
    return order.stream().filter(c -> ids.contains(c.getId())).toList();
  }

  private GridPane rowsOf(Part.Rowed rowed) {
    Group<?> group = rowed.group();
    GridPane table = new GridPane(3, 3);
    table.getStyleClass().add("dense");
    table.addRow(0, headings(rowed.headings(), group.fieldsOf(0), 0).toArray(Node[]::new));
    for (int i = 0; i < group.size(); i++) {
      int row = i;
      List<Node> nodes = new ArrayList<>();
      for (Field field : group.fieldsOf(i)) {
        Control control = control(field);
        if (control instanceof TypedControl text) {
          text.setPrefColumnCount(field instanceof WordsField ? 7 : NARROW_COLUMNS);
        } else {
          control.setPrefWidth(104);
        }
        nodes.add(control);
      }
      if (group.canShrink()) {
        Button remove = new Button("×");
        remove.setAccessibleText(Text.of("form.remove", i + 1));
        remove.setOnAction(e -> group.remove(row));
        nodes.add(remove);
      }
      table.addRow(table.getRowCount(), nodes.toArray(Node[]::new));
    }
    return table;
  }

  private Node live(Part.Live live) {
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
    parts.forEach(p -> content.getChildren().add(node(p)));
    TitledPane fold = new TitledPane(Text.of(title), content);
    fold.setId(id);
    fold.setAnimated(false);
    fold.setExpanded(false);
    // A long title is cut rather than the column widened.
    fold.setMinWidth(0);
    return fold;
  }

  private Node when(Part.When when) {
    VBox box = box(when.parts());
    box.visibleProperty().bind(when.shown());
    box.managedProperty().bind(box.visibleProperty());
    return box;
  }

  private Node anew(Part.Anew anew) {
    VBox box = new HeightCachingBox(6);
    anew.when()
        .subscribe(x -> {
          int at = placeOf(box);
          List<Control> behind = new ArrayList<>(order.subList(at, order.size()));
          order.subList(at, order.size()).clear();
          behind.removeIf(c -> within(c, box));
          List<Node> nodes = new ArrayList<>();
          anew.parts().get().forEach(p -> nodes.add(node(p)));
          box.getChildren().setAll(nodes);
          order.addAll(behind);
        });
    return box;
  }

  /** Where a part's places begin in the order; at the end while it has none. */
  private int placeOf(Node box) {
    for (int i = 0; i < order.size(); i++) {
      if (within(order.get(i), box)) {
        return i;
      }
    }
    return order.size();
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

  private static boolean within(Node node, Node outer) {
    for (Node n = node; n != null; n = n.getParent()) {
      if (n == outer) {
        return true;
      }
    }
    return false;
  }

  /** Goes to the next place that is to be seen. */
  public void goOn() {
    Node focused = getScene().getFocusOwner();
    int from = 0;
    for (int i = 0; i < order.size(); i++) {
      if (within(focused, order.get(i))) {
        from = i + 1;
      }
    }
    order.stream()
        .skip(from)
        .filter(FormPane::seen)
        .findFirst()
        .ifPresentOrElse(FormPane::focus, afterLast);
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
    if (control instanceof TypedControl field) {
      field.selectAll();
    }
  }

  /** Puts the focus on a field, where it is to be seen. */
  void focus(Field field) {
    order.stream()
        .filter(c -> fieldOf(c).filter(field::equals).isPresent())
        .filter(FormPane::seen)
        .findFirst()
        .ifPresent(FormPane::focus);
  }

  /** Puts the focus on the first place, whatever stands there. */
  public void focusStart() {
    order.stream().filter(FormPane::seen).findFirst().ifPresent(FormPane::focus);
  }

  /** Puts the focus on the first place that has nothing yet. */
  public void focusNextEmpty() {
    order.stream()
        .filter(FormPane::seen)
        .filter(FormPane::open)
        .findFirst()
        .ifPresentOrElse(FormPane::focus, afterLast);
  }

  private static boolean open(Control control) {
    return control instanceof TypedControl field && field.getText().isBlank()
        || control instanceof TextArea area && area.getText().isBlank()
        || control.getStyleClass().contains(ProofRow.ANSWER)
            && control.getPseudoClassStates().contains(ProofRow.OPEN);
  }

  /** The places in the order of Enter, for tests. */
  public List<Control> order() {
    return List.copyOf(order);
  }
}
