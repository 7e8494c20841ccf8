package zebrawood.desktop.controller;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import zebrawood.controller.Settings;
import zebrawood.desktop.sheet.Choices;
import zebrawood.desktop.sheet.HeightCachingBox;
import zebrawood.desktop.sheet.WrappedLabel;
import zebrawood.desktop.text.Text;

/** Two snapshots side by side; the first is what a restore brings back. */
final class SnapshotPart extends HeightCachingBox {
  private final ObjectProperty<Snapshot> one = new SimpleObjectProperty<>();
  private final ObjectProperty<Snapshot> other = new SimpleObjectProperty<>();
  private final ComboBox<Snapshot> first = box("snapshot-one", one);
  private final ComboBox<Snapshot> second = box("snapshot-other", other);
  private Optional<Snapshot> before = Optional.empty();
  private final Label differences = new WrappedLabel("");

  private final Function<String, Optional<Settings>> read;

  /**
   * @param read reads a text, as far as it can be read now
   */
  SnapshotPart(Function<String, Optional<Settings>> read) {
    super(6);
    this.read = read;
    differences.setId("snapshot-differences");
    getChildren().addAll(first, second, differences);
    one.subscribe(s -> compare());
    other.subscribe(s -> compare());
  }

  private static ComboBox<Snapshot> box(String id, ObjectProperty<Snapshot> chosen) {
    ComboBox<Snapshot> box = Choices.box(id, List.of(), chosen, Snapshot::words);
    box.setMaxWidth(Double.MAX_VALUE);
    box.setAccessibleText(Text.of("controller.snapshots"));
    return box;
  }

  /**
   * @param standard what a restore brings back until somebody chooses
   */
  void show(List<Snapshot> all, Optional<Snapshot> standard) {
    if (!all.equals(first.getItems())) {
      first.getItems().setAll(all);
      second.getItems().setAll(all);
      other.set(all.isEmpty() ? null : all.getFirst());
    } else if (standard.equals(before)) {
      return;
    }
    before = standard;
    one.set(standard.or(() -> all.stream().findFirst()).orElse(null));
  }

  Optional<Snapshot> chosen() {
    return Optional.ofNullable(one.get());
  }

  private void compare() {
    differences.setText(
        one.get() == null || other.get() == null ? "" : one.get().against(other.get(), read));
  }
}
