package zebrawood.desktop.focus;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.value.ObservableValue;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.sheet.Part;
import zebrawood.focus.StackUp;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.quantity.TypedQuantity;
import zebrawood.words.Message;

/** What lies on the table now, and what lay on it when the focus was left. */
final class TableFields {
  private static final double HIGHEST_MM = 1000;
  private static final double SAME_MM = 0.005;

  /** So much lower the stock goes in, clear of the nozzle. */
  private static final double CLEAR_MM = 10;

  private final List<QuantityField> layers;
  private final QuantityField defocus;
  private final QuantityField zThen;
  private final ChoiceField<TableScale> zGrows;
  private final ChoiceField<Scorch> scorch;
  private final List<String> names = List.of("riser", "honeycomb", "spoilBoard", "stock");
  private Optional<StackUp> then = Optional.empty();

  TableFields(StationForm form) {
    layers = names.stream().map(n -> form.quantity(n, Quantity.LENGTH, 0, HIGHEST_MM)).toList();
    defocus = form.quantity("defocus", Quantity.LENGTH, -200, 200);
    zThen = form.quantity("zThen", Quantity.LENGTH, -5000, 5000);
    zGrows = form.choice("zGrows", TableScale.class, TableScale.NOT_KNOWN);
    scorch = form.choice("scorch", Scorch.class, Scorch.NOTHING);
  }

  Stream<QuantityField> fields() {
    return Stream.concat(layers.stream(), Stream.of(defocus, zThen));
  }

  ChoiceField<TableScale> zGrows() {
    return zGrows;
  }

  List<Part> parts(ObservableValue<Message> move) {
    return List.of(
        Part.hint("focus.table.hint"),
        new Part.Rows(layers),
        Part.rows(defocus),
        new Part.Live(move),
        Part.rows(zThen, zGrows),
        new Part.Labelled(List.of(scorch)),
        new Part.Live(scorch.valueProperty().map(way -> Message.of(Message.keyOf(way) + ".hint"))));
  }

  /** Where the table goes, for what is on it now. */
  Message move() {
    if (now().isEmpty()) {
      return Message.of("focus.move.say");
    }
    if (then.isEmpty()) {
      return Message.of("focus.move.unknown");
    }
    double up = then.get().tableUpMm(now().get(), defocusMm());
    Amount amount = Amount.mm(Math.abs(up), 2);
    if (Math.abs(up) < SAME_MM) {
      return Message.of("focus.move.stay");
    }
    if (zThen.value().isEmpty() || zGrows.get() == TableScale.NOT_KNOWN) {
      return up < 0 ? Message.of("focus.move.down", amount) : Message.of("focus.move.up", amount);
    }
    double sign = zGrows.get() == TableScale.UP ? 1 : -1;
    Amount there = Amount.mm(zThen.number() + sign * up, 2);
    return up < 0
        ? Message.of("focus.z.lower", Amount.mm(zThen.number() + sign * (up - CLEAR_MM), 2), there)
        : Message.of("focus.z.raise", there);
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
