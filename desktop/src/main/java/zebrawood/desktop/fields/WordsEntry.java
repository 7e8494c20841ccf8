package zebrawood.desktop.fields;

import java.util.function.Consumer;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import zebrawood.measure.UnusableReading;

/** Free words as they are typed, which something may refuse to understand. */
public final class WordsEntry implements TypedEntry {
  private final String name;
  private final StringProperty text = new SimpleStringProperty("");
  private final ReadOnlyStringWrapper problem = new ReadOnlyStringWrapper("");

  /**
   * @param reader understands the words, or throws {@link UnusableReading}; not asked while empty
   */
  public WordsEntry(String name, Consumer<String> reader) {
    this.name = name;
    text.subscribe((before, now) -> problem.set(problemOf(now, reader)));
  }

  private static String problemOf(String words, Consumer<String> reader) {
    if (words.isBlank()) {
      return "";
    }
    try {
      reader.accept(words);
      return "";
    } catch (UnusableReading e) {
      var first = e.complaints().getFirst();
      return "%s is %s. Accepted is %s.".formatted(first.field(), first.found(), first.accepted());
    }
  }

  @Override
  public String name() {
    return name;
  }

  @Override
  public StringProperty textProperty() {
    return text;
  }

  @Override
  public ReadOnlyStringProperty problemProperty() {
    return problem.getReadOnlyProperty();
  }

  @Override
  public String understood() {
    return "";
  }
}
