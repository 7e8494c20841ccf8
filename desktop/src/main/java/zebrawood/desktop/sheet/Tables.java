package zebrawood.desktop.sheet;

import java.util.function.Function;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.control.TableColumn;

/** Columns of words for tables that are only read. */
public final class Tables {
  private Tables() {}

  public static <T> TableColumn<T, String> column(
      String title, double width, Function<T, String> words) {
    TableColumn<T, String> column = new TableColumn<>(title);
    column.setCellValueFactory(row -> new ReadOnlyStringWrapper(words.apply(row.getValue())));
    column.setPrefWidth(width);
    column.setSortable(false);
    column.setReorderable(false);
    return column;
  }
}
