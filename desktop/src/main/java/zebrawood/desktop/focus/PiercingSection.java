package zebrawood.desktop.focus;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.ProofField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.focus.CuttingHead;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A fibre cutting head: its sensor, its recipe, and how it pierces. */
final class PiercingSection extends Section<CuttingHead, CuttingHead.Piercing> {
  private static final int MOST_STAGES = 8;
  private static final double USUAL_STOP_MINUTES = 2;

  private final ProofField sensor;
  private final ChoiceField<CuttingHead.Gas> gas;
  private final ChoiceField<CuttingHead.Nozzle> nozzle;
  private final QuantityField bar;
  private final QuantityField bore;
  private final QuantityField standOff;
  private final QuantityField focus;
  private final QuantityField speed;
  private final QuantityField stopMinutes;
  private final QuantityField pierces;
  private final Group<Stage> stages;

  private record Stage(
      QuantityField standOff, QuantityField focus, QuantityField seconds, QuantityField bar) {
    static Stage make(StationForm form, int i) {
      String at = "stage." + i + ".";
      return new Stage(
          form.quantity(
              at + "standOff", Message.of("focus.stage.stand-off", i), Quantity.LENGTH, 0, 100),
          form.quantity(
              at + "focus", Message.of("focus.stage.focus", i), Quantity.LENGTH, -100, 100),
          form.positive(at + "seconds", Message.of("focus.stage.seconds", i), Quantity.TIME, 600),
          form.quantity(
              at + "bar", Message.of("focus.stage.bar", i), Quantity.GAS_PRESSURE, 0, 60));
    }

    CuttingHead.Stage told() {
      return new CuttingHead.Stage(
          standOff.number(), focus.number(), seconds.number(), bar.number());
    }
  }

  PiercingSection(StationForm form) {
    super(Message.of("focus.piercing.needs"));
    sensor = form.proof("sensor", Message.of("focus.sensor"));
    gas = form.choice("gas", CuttingHead.Gas.class, CuttingHead.Gas.NITROGEN);
    nozzle = form.choice("nozzle", CuttingHead.Nozzle.class, CuttingHead.Nozzle.SINGLE);
    bar = form.quantity("bar", Quantity.GAS_PRESSURE, 0, 60);
    bore = form.positive("bore", Quantity.LENGTH, 20);
    standOff = form.quantity("standOff", Quantity.LENGTH, 0, 50);
    focus = form.quantity("cutFocus", Quantity.LENGTH, -100, 100);
    speed = form.positive("cutSpeed", Quantity.SPEED, 5000);
    stopMinutes = form.quantity("stopMinutes", Quantity.MINUTES, 0, 60);
    pierces = form.quantity("pierces", Quantity.NUMBER, 1, 100_000);
    stages = form.group("stage", 2, MOST_STAGES, i -> Stage.make(form, i));
    stopMinutes.set(USUAL_STOP_MINUTES);
  }

  @Override
  public Stream<Field> fields() {
    return Stream.concat(
        Stream.of(bar, bore, standOff, focus, speed, stopMinutes, pierces),
        stages.fieldsBegun().stream());
  }

  @Override
  protected Optional<CuttingHead> understood() {
    return Optional.of(
        new CuttingHead(
            sensor.so(),
            new CuttingHead.Recipe(
                gas.get(),
                bar.value(),
                nozzle.get(),
                bore.value(),
                standOff.value(),
                focus.value(),
                speed.value()),
            piercing()));
  }

  private Optional<CuttingHead.Piercing> piercing() {
    boolean whole =
        !stages.fieldsBegun().isEmpty()
            && Stream.concat(Stream.of(stopMinutes, pierces), stages.fieldsBegun().stream())
                .allMatch(f -> f instanceof QuantityField q && q.value().isPresent());
    return whole
        ? Optional.of(
            new CuttingHead.Piercing(
                stages.begun().stream().map(Stage::told).toList(),
                focus.value(),
                stopMinutes.number(),
                (int) Math.round(pierces.number())))
        : Optional.empty();
  }

  @Override
  protected Optional<CuttingHead.Piercing> solve(CuttingHead head) {
    return head.piercing();
  }

  @Override
  protected Message words() {
    return outcome().map(CuttingHead.Piercing::said).orElse(Message.of("focus.piercing.needs"));
  }

  Part proof() {
    return Part.rows(sensor);
  }

  @Override
  public Part part() {
    return new Part.Together(
        List.of(
            Part.fold(
                "focus.cutting",
                Part.hint("focus.cutting.hint"),
                Part.rows(gas, bar, nozzle, bore, standOff, focus, speed)),
            Part.fold(
                "focus.piercing",
                Part.hint("focus.piercing.hint"),
                new Part.GrowingRows(
                    stages,
                    Stream.of(
                            "focus.stage.heading-stand-off",
                            "focus.stage.heading-focus",
                            "focus.stage.heading-seconds",
                            "focus.stage.heading-bar")
                        .map(Message::of)
                        .toList(),
                    Message.of("focus.stage.another")),
                Part.rows(stopMinutes, pierces),
                said())));
  }
}
