package zebrawood.desktop.fields;

import java.util.List;
import java.util.function.Function;
import javafx.beans.property.Property;
import javafx.scene.control.ComboBox;
import javafx.util.StringConverter;

/** A box to choose one of a few values that are shown in words. */
public final class Choice {
  private Choice() {}

  public static <T> ComboBox<T> of(
      String id, List<T> values, Property<T> chosen, Function<T, String> words) {
    ComboBox<T> box = new ComboBox<>();
    box.setId(id);
    box.getItems().setAll(values);
    box.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(T value) {
            return value == null ? "" : words.apply(value);
          }

          @Override
          public T fromString(String typed) {
            throw new UnsupportedOperationException("the box is not edited");
          }
        });
    box.valueProperty().bindBidirectional(chosen);
    return box;
  }
}
