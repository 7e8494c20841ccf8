package zebrawood.desktop.focus;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleSupplier;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Ways;
import zebrawood.focus.FocusTask;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** What a ladder's heights are, and the one gap that ties a scale to the work. */
final class LadderHeights {
  final ChoiceField<HeightKind> kind;
  private final QuantityField gapAtBest;
  private final DoubleSupplier gapReadToMm;

  /**
   * @param gapReadToMm what gaps are read to, as typed elsewhere on the sheet
   */
  LadderHeights(StationForm form, DoubleSupplier gapReadToMm) {
    kind = form.choice("heights", HeightKind.class, HeightKind.NOT_SAID);
    gapAtBest = form.quantity("visit.gapAtBest", Quantity.LENGTH, 0, 5000);
    this.gapReadToMm = gapReadToMm;
  }

  Ways.Ask asks() {
    return new Ways.Ask(
        Stream::empty,
        () -> kind.get() == HeightKind.SCALE ? Stream.of(gapAtBest) : Stream.empty(),
        () ->
            kind.get() == HeightKind.NOT_SAID
                ? Optional.of(Message.of("focus.wait.heights"))
                : Optional.empty(),
        Optional.of(
            new Part.Together(
                List.of(
                    new Part.LabelledChoices(List.of(kind)),
                    new Part.Redrawn(
                        kind.valueProperty(),
                        () ->
                            kind.get() == HeightKind.SCALE
                                ? List.of(Part.rows(gapAtBest))
                                : List.of())))));
  }

  Optional<FocusTask.HeightScale> scale() {
    return kind.get() == HeightKind.SCALE
        ? Optional.of(new FocusTask.HeightScale(gapAtBest.value(), gapReadToMm.getAsDouble()))
        : Optional.empty();
  }
}
