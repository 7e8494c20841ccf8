package zebrawood.desktop.fields;

import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.StringProperty;

/** Something typed: the text as it is, and what is wrong with it. */
public sealed interface TypedEntry permits LengthEntry, NumberEntry, WordsEntry {
  /** The field's name in a sentence. */
  String name();

  StringProperty textProperty();

  /** A sentence, or empty when there is nothing wrong. */
  ReadOnlyStringProperty problemProperty();

  /** How a text that is no bare number was understood; else empty. */
  String understood();

  default String text() {
    return textProperty().get();
  }

  default boolean isEmpty() {
    return text().isBlank();
  }
}
