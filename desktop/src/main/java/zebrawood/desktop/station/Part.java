package zebrawood.desktop.station;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.beans.value.ObservableBooleanValue;
import javafx.beans.value.ObservableValue;
import zebrawood.desktop.form.ChoiceField;
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
  record LabelledChoices(List<? extends Field> fields) implements Part {}

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
  record GrowingRows(Group<?> group, List<Message> headings, Message another) implements Part {}

  /** Small words, wrapped. */
  record Hint(Message words) implements Part {}

  /** Small words that change. */
  record LiveText(ObservableValue<Message> words) implements Part {}

  /** A part that is folded until it is wanted. */
  record Fold(String id, Message title, List<Part> parts) implements Part {}

  /** A fold that opens and closes by itself when something changes, and by hand at any time. */
  record OpenWhile(ObservableBooleanValue open, Fold fold) implements Part {}

  /** Parts that are there only at times. */
  record ShownWhile(ObservableBooleanValue shown, List<Part> parts) implements Part {}

  /** Parts that are laid out anew when something changes. */
  record Redrawn(ObservableValue<?> when, Supplier<List<Part>> parts) implements Part {}

  /** Several parts where one is asked for. */
  record Together(List<Part> parts) implements Part {}

  /** A field of many lines. */
  record Area(WordsField field, int rows, Message prompt) implements Part {}

  /**
   * A file by its name: typed, chosen, or dropped there.
   *
   * @param id of the button that chooses
   * @param folder whose newest picture is offered; empty of a file that is no picture
   */
  record FileName(WordsField path, String id, Optional<WordsField> folder) implements Part {
    public FileName(WordsField path, String id) {
      this(path, id, Optional.empty());
    }
  }

  /** Why something typed cannot be used, else how it was understood. */
  record ReadingStatus() implements Part {}

  /** The way into the practice, where there is one. */
  record PracticeEntry(List<Part> choices) implements Part {
    public PracticeEntry() {
      this(List.of());
    }
  }

  /**
   * A button.
   *
   * @param id by which it is found
   */
  record Press(String id, Message words, Runnable run) implements Part {}

  /** What only this station has; the sheet makes its node. */
  record CustomNode(View view) implements Part {}

  /** Something that the sheet knows how to show: here it has no node. */
  interface View {}

  static Part rows(Field... fields) {
    return new Rows(List.of(fields));
  }

  static Part rows(List<? extends Field> fields) {
    return new Rows(List.copyOf(fields));
  }

  static Part hint(String key, Object... arguments) {
    return new Hint(Message.of(key, arguments));
  }

  static Fold fold(String key, Part... parts) {
    return fold(key, List.of(parts));
  }

  static Fold fold(String key, List<Part> parts) {
    return new Fold(key.replace('.', '-') + "-fold", Message.of(key), parts);
  }

  static Part heading(String key, String right) {
    return new Heading(Message.of(key), Message.of(right));
  }

  /** What a choice means, below it: the key of its constant with this ending. */
  static Part hintOf(ChoiceField<?> choice, String ending) {
    return new LiveText(
        choice.valueProperty().map(c -> Message.of(Message.keyOf((Enum<?>) c) + ending)));
  }

  /** A choice with what it means below it. */
  static Part explained(ChoiceField<?> choice) {
    return new Together(List.of(rows(choice), hintOf(choice, ".hint")));
  }

  /** Two columns of a group's rows. */
  static Part pairs(Group<?> group, String first, String second, String another) {
    return new GrowingRows(
        group, List.of(Message.of(first), Message.of(second)), Message.of(another));
  }
}
