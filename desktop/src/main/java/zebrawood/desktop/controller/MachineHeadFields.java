package zebrawood.desktop.controller;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.beans.binding.Bindings;
import javafx.beans.value.ObservableBooleanValue;
import zebrawood.controller.ControllerReadings;
import zebrawood.controller.ControllerReadings.Head;
import zebrawood.controller.ControllerReadings.JobSoftware;
import zebrawood.controller.ControllerReadings.Laser;
import zebrawood.controller.ControllerReadings.MachineFacts;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.controller.ControllerVisitReadings.HomeAtStart;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.machine.Machine;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** What the settings are compared with: the job software, the machine, and the head on it. */
final class MachineHeadFields {
  private static final double LARGEST_MM = 100_000;

  private final StationForm form;
  private final QuantityField topWord;
  private final QuantityField areaX;
  private final QuantityField areaY;
  private final QuantityField travelX;
  private final QuantityField travelY;
  private final ChoiceField<Head> head;
  private final ChoiceField<CornerIfKnown> home;
  private final ChoiceField<IfKnown> switches;
  private final WordsField sent;
  private final WordsField wired;
  private final ChoiceField<UnitsIfKnown> units;
  private final ChoiceField<CornerIfKnown> origin;
  private final ChoiceField<PolicyIfKnown> policy;
  private final ChoiceField<HomeAtStart> homeAtStart;

  /** Whether there are settings to compare with the job software's. */
  private final ObservableBooleanValue compared;

  MachineHeadFields(StationForm form, ObservableBooleanValue compared) {
    this.form = form;
    this.compared = compared;
    topWord = form.quantity("topWord", Quantity.NUMBER, 1, 1_000_000);
    areaX = form.quantity("areaX", Quantity.LENGTH, 1, LARGEST_MM);
    areaY = form.quantity("areaY", Quantity.LENGTH, 1, LARGEST_MM);
    travelX = form.quantity("travelX", Quantity.LENGTH, 1, LARGEST_MM);
    travelY = form.quantity("travelY", Quantity.LENGTH, 1, LARGEST_MM);
    head = form.choice("head", Head.class, Head.LASER);
    home = form.choice("home", CornerIfKnown.class, CornerIfKnown.NOT_KNOWN);
    switches = form.choice("switches", IfKnown.class, IfKnown.NOT_KNOWN);
    sent = form.plainWords("sentAir");
    wired = form.plainWords("wiredAir");
    units = form.choice("units", UnitsIfKnown.class, UnitsIfKnown.NOT_KNOWN);
    origin = form.choice("origin", CornerIfKnown.class, CornerIfKnown.NOT_KNOWN);
    policy = form.choice("policy", PolicyIfKnown.class, PolicyIfKnown.NOT_KNOWN);
    homeAtStart = form.choice("homeAtStart", HomeAtStart.class, HomeAtStart.NOT_KNOWN);
    // What is typed without a unit is in the one that the job software is set to.
    units
        .valueProperty()
        .subscribe(its -> {
          areaX.readIn(its.length());
          areaY.readIn(its.length());
        });
  }

  /** What the technician looks at, and what the job software is set to. */
  List<Part> software() {
    return List.of(
        Part.heading("controller.machine", "controller.machine.asked"),
        new Part.LabelledChoices(List.of(switches)),
        new Part.ShownWhile(
            Bindings.createBooleanBinding(
                () -> compared.get() && switchesFitted(), compared, switches.valueProperty()),
            List.of(new Part.LabelledChoices(List.of(home)))),
        new Part.ShownWhile(
            compared,
            List.of(
                Part.heading("controller.software", "controller.software.asked"),
                new Part.LabelledChoices(List.of(units)),
                Part.rows(topWord, areaX, areaY),
                Part.rows(sent, wired),
                new Part.LabelledChoices(List.of(origin, policy, homeAtStart)))));
  }

  /**
   * The head of a configuration, and what it reaches where that is not what the machine travels.
   */
  Part ofTheHead() {
    return Part.rows(head, travelX, travelY);
  }

  Stream<QuantityField> needed() {
    return areaX.isEmpty() && areaY.isEmpty()
        ? Stream.of(topWord)
        : Stream.of(topWord, areaX, areaY);
  }

  /** What must be looked at before anything that homing rests on is written. */
  Optional<Message> toLookAt() {
    if (switches.get() == IfKnown.NOT_KNOWN) {
      return Optional.of(switches.label());
    }
    if (switchesFitted() && home.get() == CornerIfKnown.NOT_KNOWN) {
      return Optional.of(home.label());
    }
    if (units.get() == UnitsIfKnown.NOT_KNOWN) {
      return Optional.of(units.label());
    }
    return policy.get() == PolicyIfKnown.NOT_KNOWN ? Optional.of(policy.label()) : Optional.empty();
  }

  /** What a look at a stand-in and its job software tells: switches, at this corner. */
  void seen(CornerIfKnown corner, double softwareTop) {
    form.allAtOnce(() -> {
      switches.set(IfKnown.YES);
      home.set(corner);
      if (topWord.value().isEmpty()) {
        topWord.set(softwareTop);
      }
      if (units.get() == UnitsIfKnown.NOT_KNOWN) {
        units.set(UnitsIfKnown.MM);
      }
      if (policy.get() == PolicyIfKnown.NOT_KNOWN) {
        policy.set(PolicyIfKnown.MATCH_SOFTWARE);
      }
    });
  }

  /** Empty while nobody looked. */
  Optional<Boolean> switches() {
    return switches.get() == IfKnown.NOT_KNOWN ? Optional.empty() : Optional.of(switchesFitted());
  }

  boolean switchesFitted() {
    return switches.get() == IfKnown.YES;
  }

  OptionalDouble topWord() {
    return topWord.value();
  }

  /** Where the head may go: what the configuration that is on it reaches. */
  List<Double> travelMm(Machine machine) {
    return List.of(
        travelX.value().orElse(machine.areaXMm()), travelY.value().orElse(machine.areaYMm()));
  }

  boolean laser() {
    return head.get() == Head.LASER;
  }

  Head head() {
    return head.get();
  }

  HomeAtStart homeAtStart() {
    return homeAtStart.get();
  }

  String wired() {
    return wired.text().strip();
  }

  Policy policy() {
    return policy.get().policy().orElseThrow();
  }

  MachineFacts machine(Machine machine) {
    return new MachineFacts(
        travelMm(machine),
        home.get().corner().filter(c -> switchesFitted()),
        switches.get() == IfKnown.YES,
        laserOf(machine));
  }

  JobSoftware jobSoftware() {
    return new JobSoftware(
        topWord.number(),
        sent.text().strip(),
        units.get().units().orElseThrow(),
        areaX.isEmpty() ? Optional.empty() : Optional.of(List.of(areaX.number(), areaY.number())),
        origin.get().corner());
  }

  private static Laser laserOf(Machine machine) {
    return switch (machine.source().kind()) {
      case CO2_GLASS_TUBE, CO2_RF_TUBE -> Laser.CO2;
      case DIODE -> Laser.DIODE;
      case FIBRE, MOPA_FIBRE -> Laser.FIBRE;
      case UV -> Laser.UV;
    };
  }

  /** Takes over what belonged to the head when this configuration was last recorded. */
  void take(ControllerReadings then, Machine machine) {
    form.allAtOnce(() -> {
      topWord.set(then.jobSoftware().topPowerWord());
      List<Double> area = then.jobSoftware().areaMm().orElse(List.of());
      setOrClear(areaX, area.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(area.get(0)));
      setOrClear(areaY, area.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(area.get(1)));
      setOrClear(travelX, unlessUsual(then.machine().travelMm().get(0), machine.areaXMm()));
      setOrClear(travelY, unlessUsual(then.machine().travelMm().get(1), machine.areaYMm()));
      then.head().ifPresent(head::set);
      sent.set(then.jobSoftware().airAssistCode());
      wired.set(then.wiredAirAssistCode());
    });
  }

  /** What the machine travels anyway need not be typed. */
  private static OptionalDouble unlessUsual(double travelMm, double usualMm) {
    return travelMm == usualMm ? OptionalDouble.empty() : OptionalDouble.of(travelMm);
  }

  private static void setOrClear(QuantityField field, OptionalDouble value) {
    if (value.isPresent()) {
      field.set(value.getAsDouble());
    } else {
      field.textProperty().set("");
    }
  }
}
