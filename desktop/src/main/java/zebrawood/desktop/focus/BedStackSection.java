package zebrawood.desktop.focus;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.focus.FocusReadings;
import zebrawood.focus.StackUp;
import zebrawood.ledger.Entry;
import zebrawood.machine.Moves;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** What lies on the table now, and what lay on it when the focus was left. */
final class BedStackSection extends Section<StackUp, Void> {
  private static final double HIGHEST_MM = 1000;
  private static final double SAME_MM = 0.005;

  /** So much lower the stock goes in, clear of the nozzle. */
  private static final double CLEAR_MM = 10;

  private static final int SPOIL_BOARD = 2;
  private static final double OF_PICTURE = 0.36;

  /** In pixels: less has no room for four layers. */
  private static final double LEAST_PICTURE = 120;

  private final Optional<Moves> moves;
  private final List<QuantityField> layers;
  private final QuantityField defocus;
  private final QuantityField zThen;
  private final ChoiceField<TableScale> zGrows;
  private final ChoiceField<ScorchCure> scorch;
  private Optional<Left> left = Optional.empty();

  /** What was on the table, and how far above the surface the focus was to lie when it was left. */
  private record Left(StackUp stack, double defocusMm) {}

  /**
   * @param moves what sets the gap; empty while nobody said so
   */
  BedStackSection(StationForm form, Optional<Moves> moves) {
    super(Message.of("focus.move.say"));
    this.moves = moves;
    layers =
        Stream.of("riser", "honeycomb", "spoilBoard", "stock")
            .map(n -> form.quantity(n, Quantity.LENGTH, 0, HIGHEST_MM))
            .toList();
    defocus = form.quantity("defocus", Quantity.LENGTH, -200, 200);
    zThen = form.quantity("zThen", Quantity.LENGTH, -5000, 5000);
    zGrows = form.choice("zGrows", TableScale.class, TableScale.NOT_KNOWN);
    scorch = form.choice("scorch", ScorchCure.class, ScorchCure.NOTHING);
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(layers.stream(), Stream.of(defocus, zThen), Stream.of(scorch)).flatMap(s -> s);
  }

  @Override
  public Part part() {
    return Part.fold(
        "focus.table",
        Part.hint("focus.table.hint"),
        Part.rows(layers),
        Part.rows(defocus),
        said(),
        // A scale along it has the table alone.
        moves.filter(m -> m != Moves.TABLE).isPresent()
            ? new Part.Together(List.of())
            : Part.rows(zThen, zGrows),
        new Part.LabelledChoices(List.of(scorch)),
        Part.hintOf(scorch, ".hint"));
  }

  /** Known when anything of it was told: what was not, is not there. */
  @Override
  protected Optional<StackUp> understood() {
    if (layers.stream().allMatch(QuantityField::isEmpty)) {
      return Optional.empty();
    }
    List<Double> mm = layers.stream().map(f -> f.value().orElse(0)).toList();
    return Optional.of(new StackUp(mm.get(0), mm.get(1), mm.get(2), mm.get(3)));
  }

  /** Where the table goes, for what is on it now. */
  @Override
  protected Message words() {
    if (raisedByNothing()) {
      return Message.of("focus.scorch.height");
    }
    if (read().isEmpty()) {
      return Message.of("focus.move.say");
    }
    if (left.isEmpty()) {
      return Message.of("focus.move.unknown");
    }
    double up = left.get().stack.tableUpMm(read().get(), defocusMm() - left.get().defocusMm);
    Amount amount = Amount.mm(Math.abs(up), 2);
    if (Math.abs(up) < SAME_MM) {
      return Message.of("focus.move.stay");
    }
    if (moves.filter(m -> m != Moves.TABLE).isPresent()) {
      return Message.of(moves.get().key(up < 0 ? "room" : "nearer"), amount);
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

  /**
   * Draws what is on the table above all else, where anything was said of it.
   *
   * @return how much of the height it took
   */
  double draw(Canvas on) {
    double height = OF_PICTURE * on.height();
    if (read().isEmpty() || height < LEAST_PICTURE) {
      return 0;
    }
    new StackPicture(on, height, scorch.get()).draw(read().get(), defocusMm());
    return height;
  }

  /** A riser or pins raise the work by a height that nobody said. */
  private boolean raisedByNothing() {
    return switch (scorch.get()) {
      case RAISE_HONEYCOMB -> layers.getFirst().isEmpty();
      case RAISE_WORK -> layers.get(SPOIL_BOARD).isEmpty();
      case NOTHING, DRAW_SMOKE -> false;
    };
  }

  Optional<StackUp> then() {
    return left.map(Left::stack);
  }

  OptionalDouble defocusThenMm() {
    return left.map(l -> OptionalDouble.of(l.defocusMm)).orElse(OptionalDouble.empty());
  }

  double defocusMm() {
    return defocus.value().orElse(0);
  }

  /** What was on it in the newest reading that decided something. */
  @Override
  protected void recordChanged(List<Entry> entries) {
    left =
        entries.reversed().stream()
            .filter(Entry::decided)
            .findFirst()
            .flatMap(e -> KeptReadings.read(e, FocusReadings.class))
            .flatMap(r -> r.stack().map(stack -> new Left(stack, r.defocusMm())));
    say(words());
  }
}
