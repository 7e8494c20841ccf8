package zebrawood.desktop.power;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.power.LifeRule;
import zebrawood.power.PowerFinding;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * What is on file of the source: the test job, and of a tube its label and two lines of its data
 * sheet.
 */
final class TubeFileSection extends Section<LifeRule, Void> {
  private static final double MOST_MA = 10_000;
  private static final double MOST_HOURS = 1_000_000;

  private final boolean tube;
  private final WordsField testJob;
  private final WordsField label;
  private final QuantityField ma;
  private final QuantityField hours;
  private final QuantityField higherMa;
  private final QuantityField fewerHours;
  private final QuantityField tubeMaximum;
  private final Supplier<Optional<PowerFinding.Top>> top;

  /**
   * @param tubeMaximum as typed elsewhere on the sheet
   * @param top what the station found of the current
   */
  TubeFileSection(
      StationForm form,
      boolean tube,
      QuantityField tubeMaximum,
      Supplier<Optional<PowerFinding.Top>> top) {
    super(Message.NONE);
    this.tube = tube;
    this.tubeMaximum = tubeMaximum;
    this.top = top;
    testJob = form.plainWords("testJob");
    label = form.plainWords("label");
    ma = form.positive("lifeMa", Quantity.SMALL_CURRENT, MOST_MA);
    hours = form.positive("lifeHours", Quantity.NUMBER, MOST_HOURS);
    higherMa = form.positive("lifeHigherMa", Quantity.SMALL_CURRENT, MOST_MA);
    fewerHours = form.positive("lifeFewerHours", Quantity.NUMBER, MOST_HOURS);
  }

  WordsField testJob() {
    return testJob;
  }

  WordsField label() {
    return label;
  }

  Optional<String> tubeLabel() {
    return Optional.of(label.text().strip()).filter(text -> !text.isEmpty());
  }

  private List<QuantityField> life() {
    return List.of(ma, hours, higherMa, fewerHours);
  }

  @Override
  public Stream<Field> fields() {
    return Stream.concat(Stream.of(testJob, label), life().stream());
  }

  @Override
  public Stream<QuantityField> needed() {
    return QuantityField.begun(life()) ? life().stream() : Stream.empty();
  }

  @Override
  public Part part() {
    return tube
        ? Part.fold(
            "power.file",
            Part.rows(testJob, label),
            Part.hint("power.life.hint"),
            Part.rows(life()),
            said())
        : Part.fold("power.file", Part.rows(testJob, label));
  }

  @Override
  protected Optional<LifeRule> understood() {
    return QuantityField.begun(life())
        ? Optional.of(
            new LifeRule(ma.number(), hours.number(), higherMa.number(), fewerHours.number()))
        : Optional.empty();
  }

  /** What driving it harder costs, by the tube's own data sheet. */
  @Override
  protected Message words() {
    return read()
        .flatMap(rule ->
            tubeMaximum.value().isPresent()
                ? top.get().map(t -> rule.said(t.agreedMa(), tubeMaximum.number()))
                : Optional.empty())
        .orElse(Message.of("power.life.unknown"));
  }
}
