package zebrawood.desktop.sheet;

import java.util.function.Function;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.Tooltip;

/** SheetColumns of words for tables that are only read. */
public final class Tables {
  private Tables() {}

  public static <T> TableColumn<T, String> column(
      String title, double width, Function<T, String> words) {
    TableColumn<T, String> column = new TableColumn<>(title);
    column.setCellValueFactory(row -> new ReadOnlyStringWrapper(words.apply(row.getValue())));
    column.setCellFactory(c -> new WordsCell<>());
    column.setPrefWidth(width);
    column.setSortable(false);
    column.setReorderable(false);
    return column;
  }

  /** Says all of its words in a tooltip, since a narrow column cuts them. */
  private static final class WordsCell<T> extends TableCell<T, String> {
    private static final int SHORT = 12;

    @Override
    protected void updateItem(String words, boolean empty) {
      super.updateItem(words, empty);
      setText(empty ? null : words);
      setTooltip(empty || words == null || words.length() <= SHORT ? null : new Tooltip(words));
    }
  }
}
