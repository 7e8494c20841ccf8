package zebrawood.desktop.sheet;

import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import javafx.beans.value.ObservableBooleanValue;
import javafx.beans.value.ObservableValue;
import javafx.scene.Node;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.WordsField;
import zebrawood.words.Message;

/** A part of a sheet's left column, in the order it stands there and is gone through with Enter. */
public sealed interface Part {
  /** The column's small heading with something at its right end. */
  record Heading(Message words, Message right) implements Part {}

  /** A row a field: its label, the field, its unit; a choice or a proof takes the whole row. */
  record Rows(List<? extends Field> fields) implements Part {}

  /** Choices with their labels before them. */
  record Labelled(List<? extends Field> fields) implements Part {}

  /**
   * Headings, and below them a row of narrow fields each, with what the row is called before it.
   */
  record Table(List<Message> headings, List<TableRow> rows) implements Part {}

  /**
   * A row of a table.
   *
   * @param words what it is called; empty where the headings begin with the first field
   */
  record TableRow(Message words, List<? extends Field> fields) {}

  /** A group's rows with a button for another one, and one behind each row to take it away. */
  record Rowed(Group<?> group, List<Message> headings, Message another) implements Part {}

  /** Small words, wrapped. */
  record Hint(Message words) implements Part {}

  /** Small words that change. */
  record Live(ObservableValue<Message> words) implements Part {}

  /** A part that is folded until it is wanted. */
  record Fold(String id, Message title, List<Part> parts) implements Part {}

  /** A fold that opens and closes by itself when something changes, and by hand at any time. */
  record OpenWhile(ObservableBooleanValue open, Fold fold) implements Part {}

  /** Parts that are there only at times. */
  record When(ObservableBooleanValue shown, List<Part> parts) implements Part {}

  /** Parts that are laid out anew when something changes. */
  record Anew(ObservableValue<?> when, Supplier<List<Part>> parts) implements Part {}

  /** A field of many lines. */
  record Area(WordsField field, int rows, Message prompt) implements Part {}

  /** Why something typed cannot be used, else how it was understood. */
  record Told() implements Part {}

  /** The way into the practice, where there is one. */
  record Practising() implements Part {}

  /**
   * A button.
   *
   * @param id by which it is found
   */
  record Press(String id, Message words, Runnable run) implements Part {}

  /** What only this station has. */
  record Own(Function<FormPane, Node> make) implements Part {}

  static Part rows(Field... fields) {
    return new Rows(List.of(fields));
  }

  static Part hint(String key, Object... arguments) {
    return new Hint(Message.of(key, arguments));
  }

  static Fold fold(String key, Part... parts) {
    return new Fold(key.replace('.', '-') + "-fold", Message.of(key), List.of(parts));
  }

  static Part heading(String key, String right) {
    return new Heading(Message.of(key), Message.of(right));
  }
}
