package zebrawood.desktop.focus;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.focus.StackUp;
import zebrawood.quantity.Quantity;
import zebrawood.quantity.TypedQuantity;

/** What lies on the table now, and what lay on it when the focus was left. */
final class TableFields {
  private static final double HIGHEST_MM = 1000;

  private final List<QuantityField> layers;
  private final QuantityField defocus;
  private final List<String> names = List.of("riser", "honeycomb", "spoilBoard", "stock");
  private Optional<StackUp> then = Optional.empty();

  TableFields(StationForm form) {
    layers = names.stream().map(n -> form.quantity(n, Quantity.LENGTH, 0, HIGHEST_MM)).toList();
    defocus = form.quantity("defocus", Quantity.LENGTH, -200, 200);
  }

  List<QuantityField> layers() {
    return layers;
  }

  QuantityField defocus() {
    return defocus;
  }

  Stream<Field> fields() {
    return Stream.concat(layers.stream(), Stream.of(defocus));
  }

  /** Known when anything of it was told: what was not, is not there. */
  Optional<StackUp> now() {
    return layers.stream().allMatch(QuantityField::isEmpty)
            || layers.stream().anyMatch(f -> f.problem().isPresent())
        ? Optional.empty()
        : Optional.of(of(layers.stream().map(f -> f.value().orElse(0)).toList()));
  }

  Optional<StackUp> then() {
    return then;
  }

  double defocusMm() {
    return defocus.value().orElse(0);
  }

  /** What was on it in the newest reading that says so. */
  void remember(Optional<Map<String, String>> typed) {
    then =
        typed
            .filter(t -> names.stream().anyMatch(n -> !t.getOrDefault(n, "").isBlank()))
            .map(t -> of(names.stream().map(n -> length(t.getOrDefault(n, ""))).toList()));
  }

  private static double length(String kept) {
    return TypedQuantity.read(kept, Quantity.LENGTH, Quantity.LENGTH.canonical())
            instanceof TypedQuantity.Understood u
        ? Math.clamp(u.canonical(), 0, HIGHEST_MM)
        : 0;
  }

  private static StackUp of(List<Double> mm) {
    return new StackUp(mm.get(0), mm.get(1), mm.get(2), mm.get(3));
  }
}
