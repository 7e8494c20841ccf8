package zebrawood.desktop.form;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * Rows of fields that are alike: as many duct pieces, loads, screws or marks as there are. A row's
 * fields are named {@code <name>.<number>}, or {@code <name>.<number>.<what>}.
 *
 * @param <R> what a row is
 */
public final class Group<R> {
  private final StationForm form;
  private final String name;
  private final String countName;
  private final int firstNumber;
  private final int least;
  private final int most;
  private final IntFunction<R> make;
  private final List<List<Field>> fields = new ArrayList<>();
  private final ReadOnlyObjectWrapper<List<R>> rows = new ReadOnlyObjectWrapper<>(List.of());

  /**
   * @param countName under which the count of rows is kept
   * @param firstNumber of the first row's fields
   * @param make makes a row with this number, by the form's own methods
   */
  Group(
      StationForm form,
      String name,
      String countName,
      int firstNumber,
      int least,
      int most,
      IntFunction<R> make) {
    this.form = form;
    this.name = name;
    this.countName = countName;
    this.firstNumber = firstNumber;
    this.least = least;
    this.most = most;
    this.make = make;
  }

  public ReadOnlyObjectProperty<List<R>> rowsProperty() {
    return rows.getReadOnlyProperty();
  }

  public List<R> rows() {
    return rows.get();
  }

  public int size() {
    return rows.get().size();
  }

  public boolean canGrow() {
    return size() < most;
  }

  public boolean canShrink() {
    return size() > least;
  }

  /** The fields of a row. */
  public List<Field> fieldsOf(int row) {
    return List.copyOf(fields.get(row));
  }

  /** Rows in which anything is typed. */
  public List<R> begun() {
    List<R> begun = new ArrayList<>();
    for (int i = 0; i < size(); i++) {
      if (fields.get(i).stream().anyMatch(f -> f instanceof TypedField && !f.isEmpty())) {
        begun.add(rows.get().get(i));
      }
    }
    return begun;
  }

  /** All that must be there for the rows that are begun. */
  public List<Field> fieldsBegun() {
    return fields.stream()
        .filter(row -> row.stream().anyMatch(f -> f instanceof TypedField && !f.isEmpty()))
        .flatMap(List::stream)
        .toList();
  }

  /** As many rows as this, as far as that is allowed; what remains stays typed. */
  public void resize(int count) {
    int wanted = Math.clamp(count, least, most);
    if (wanted == size() && !rows.get().isEmpty()) {
      return;
    }
    form.allAtOnce(() -> {
      List<R> now = new ArrayList<>(rows.get());
      while (now.size() > wanted) {
        now.removeLast();
        form.forget(fields.removeLast());
      }
      while (now.size() < wanted) {
        List<Field> made = new ArrayList<>();
        now.add(form.collecting(made, () -> make.apply(firstNumber + now.size())));
        fields.add(made);
      }
      rows.set(List.copyOf(now));
    });
  }

  /** Another row at the end. */
  public void grow() {
    resize(size() + 1);
  }

  /** Takes a row away; those behind it move up. */
  public void remove(int row) {
    if (!canShrink()) {
      return;
    }
    form.allAtOnce(() -> {
      for (int i = row; i + 1 < size(); i++) {
        for (int k = 0; k < fields.get(i).size(); k++) {
          fields.get(i).get(k).restore(fields.get(i + 1).get(k).kept(), form.canonical());
        }
      }
      resize(size() - 1);
    });
  }

  String countName() {
    return countName;
  }

  /** As many rows as were kept; where no count was, as many as fields of rows that have a text. */
  void resizeTo(Map<String, String> typed) {
    String kept = typed.get(countName);
    if (kept != null && kept.matches("\\d{1,4}")) {
      resize(Integer.parseInt(kept));
      return;
    }
    Pattern ofRow = Pattern.compile(Pattern.quote(name) + "\\.(\\d{1,4})(?:\\..*)?");
    int highest =
        typed.entrySet().stream()
            .filter(e -> !e.getValue().isBlank())
            .map(e -> ofRow.matcher(e.getKey()))
            .filter(Matcher::matches)
            .mapToInt(m -> Integer.parseInt(m.group(1)))
            .max()
            .orElse(-1);
    resize(Math.max(size(), highest - firstNumber + 1));
  }
}
