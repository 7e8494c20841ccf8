package zebrawood.desktop.sheet;

import java.util.List;
import java.util.function.Function;
import javafx.beans.property.Property;
import javafx.scene.control.ComboBox;
import javafx.util.StringConverter;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.text.Text;

/** Boxes to choose one of a few values that are shown in words. */
public final class Choices {
  private Choices() {}

  public static <E extends Enum<E>> ComboBox<E> box(String id, ChoiceField<E> field) {
    ComboBox<E> box = box(id, field.offered(), field.valueProperty(), Text::of);
    box.setMaxWidth(Double.MAX_VALUE);
    box.setAccessibleText(Text.of(field.label()));
    return box;
  }

  public static <T> ComboBox<T> box(
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
