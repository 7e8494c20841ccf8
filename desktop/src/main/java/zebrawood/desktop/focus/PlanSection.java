package zebrawood.desktop.focus;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.focus.RampPlan;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A ramp planned from what is roughly known. */
final class PlanSection extends Section<RampPlan, Void> {
  private final QuantityField roughGap;
  private final QuantityField roughUnsure;
  private final QuantityField clearance;
  private final QuantityField depth;
  private final QuantityField run;
  private Optional<Message> refusal = Optional.empty();

  /**
   * @param depth of focus, and {@code run} of the board, as typed elsewhere on the sheet
   */
  PlanSection(StationForm form, QuantityField depth, QuantityField run) {
    super(Message.NONE);
    roughGap = form.quantity("roughGap", Quantity.LENGTH, 0, 5000);
    roughUnsure = form.quantity("roughUnsure", Quantity.LENGTH, 0, 500);
    clearance = form.quantity("clearance", Quantity.LENGTH, 0, 500);
    this.depth = depth;
    this.run = run;
  }

  private List<QuantityField> all() {
    return List.of(roughGap, roughUnsure, clearance, depth, run);
  }

  /** What is planned keeps nothing from being read. */
  @Override
  public Stream<Field> fields() {
    return Stream.empty();
  }

  @Override
  public Part part() {
    return Part.fold(
        "focus.plan",
        Part.hint("focus.plan.hint"),
        Part.rows(roughGap, roughUnsure, clearance),
        said());
  }

  @Override
  protected Optional<RampPlan> understood() {
    refusal = Optional.empty();
    if (all().stream().anyMatch(f -> f.value().isEmpty())) {
      return Optional.empty();
    }
    try {
      return Optional.of(
          RampPlan.of(
              roughGap.number(),
              roughUnsure.number(),
              depth.number(),
              run.number(),
              clearance.number()));
    } catch (UnusableReading e) {
      refusal = Optional.of(StationForm.refusal(e));
      return Optional.empty();
    }
  }

  /** Nothing while nobody plans. */
  @Override
  protected Message words() {
    if (Stream.of(roughGap, roughUnsure, clearance).allMatch(Field::isEmpty)) {
      return Message.NONE;
    }
    return refusal.or(() -> read().map(RampPlan::said)).orElse(Message.of("focus.plan.needs"));
  }
}
