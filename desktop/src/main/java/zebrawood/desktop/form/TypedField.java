package zebrawood.desktop.form;

import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.StringProperty;
import zebrawood.words.Message;

/** A field that a text is typed into. */
public sealed interface TypedField permits QuantityField, WordsField {
  String name();

  Message label();

  StringProperty textProperty();

  /** What is wrong with the text; empty when there is nothing. */
  ReadOnlyObjectProperty<Optional<Message>> problemProperty();

  /** How a text that is no bare number was understood, if there is anything to say. */
  Optional<Message> understood();

  default String text() {
    return textProperty().get();
  }
}
