package zebrawood.desktop.controller;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.controller.AxisScale;
import zebrawood.controller.ControllerReadings;
import zebrawood.controller.ControllerReadings.AirCode;
import zebrawood.controller.ControllerReadings.Head;
import zebrawood.controller.ControllerReadings.JobSoftware;
import zebrawood.controller.ControllerReadings.Laser;
import zebrawood.controller.ControllerReadings.MachineFacts;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.controller.ControllerReadings.Units;
import zebrawood.controller.ControllerVisit;
import zebrawood.controller.ControllerVisit.HomeAtStart;
import zebrawood.controller.ControllerVisit.Motion;
import zebrawood.controller.ControllerVisit.Proof;
import zebrawood.controller.ControllerVisit.TwoMarks;
import zebrawood.controller.Corner;
import zebrawood.controller.NamedFields;
import zebrawood.controller.RunUp;
import zebrawood.controller.Settings;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.fields.WordsEntry;
import zebrawood.desktop.sheet.AnsweredModel;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.Proven;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;

/** What is typed or read on the controller sheet and what follows from it. Knows no scene. */
public final class ControllerModel extends AnsweredModel<Motion> {
  private static final double SCALE_PER_MILLE = 2;
  private static final double SECONDS_PER_MINUTE = 60;
  private static final String CONFIGURATION = "configuration";

  /** What belongs to a head, not to the machine. */
  private static final List<String> OF_A_HEAD =
      List.of("topWord", "areaX", "areaY", "travelX", "travelY", "head", "sentAir", "wiredAir");

  private final Machine machine;
  private final WordsEntry dump =
      keep(EntryDesk.READING + "dump", new WordsEntry("Settings", ControllerModel::readable));
  private final NumberEntry topWord =
      keep("topWord", new NumberEntry("Software's top word", "", 1, 1_000_000));
  private final NumberEntry areaX =
      keep("areaX", new NumberEntry("Its area, width", "mm", 1, 100_000));
  private final NumberEntry areaY =
      keep("areaY", new NumberEntry("Its area, depth", "mm", 1, 100_000));
  private final NumberEntry travelX =
      keep("travelX", new NumberEntry("Its travel, width", "mm", 1, 100_000));
  private final NumberEntry travelY =
      keep("travelY", new NumberEntry("Its travel, depth", "mm", 1, 100_000));
  private final ObjectProperty<Head> head = choose("head", Head.class, Head.LASER);
  private final ObjectProperty<Corner> home = choose("home", Corner.class, Corner.FRONT_LEFT);
  private final ObjectProperty<YesNo> switches = choose("switches", YesNo.class, YesNo.YES);
  private final ObjectProperty<AirCode> sent = choose("sentAir", AirCode.class, AirCode.M8);
  private final ObjectProperty<AirCode> wired = choose("wiredAir", AirCode.class, AirCode.M8);
  private final ObjectProperty<Units> units = choose("units", Units.class, Units.MM);
  private final ObjectProperty<Origin> origin = choose("origin", Origin.class, Origin.NOT_KNOWN);
  private final ObjectProperty<Policy> policy =
      choose("policy", Policy.class, Policy.MATCH_SOFTWARE);
  private final List<NumberEntry> across = scale("X", "right");
  private final List<NumberEntry> along = scale("Y", "rear");
  private final NumberEntry rule = keep("rule", new NumberEntry("Rule read to", "mm", 0.001, 10));
  private final NumberEntry speed =
      keep("speed", new NumberEntry("Engraving speed", "mm/s", 0.1, 100_000));
  private final NumberEntry acceleration =
      keep("acceleration", new NumberEntry("Acceleration", "mm/s²", 1, 1e7));
  private final NumberEntry width =
      keep("width", new NumberEntry("Width of the work", "mm", 0.1, 1e5));
  private final ObjectProperty<TwoMarks> marks =
      choose(EntryDesk.READING + "marks", TwoMarks.class, TwoMarks.NOT_BURNT);
  private final ObjectProperty<HomeAtStart> homeAtStart =
      choose("homeAtStart", HomeAtStart.class, HomeAtStart.NOT_KNOWN);
  private final WordsEntry configuration =
      keep(CONFIGURATION, new WordsEntry("Configuration's name", w -> {}));
  private final NumberEntry lens =
      keep("lens", new NumberEntry("Focal length of the lens on it", "mm", 5, 2000));
  private final WordsEntry offline =
      keep(EntryDesk.READING + "offline", new WordsEntry("Offline", NamedFields::parse));
  private final WordsEntry leastMark =
      keep("leastMark", new WordsEntry("Least that marks", w -> {}));
  private final WordsEntry connection = keep("connection", new WordsEntry("Connection", w -> {}));
  private Optional<String> leftBefore = Optional.empty();
  private final ReadOnlyObjectWrapper<ControllerOutcome> outcome =
      new ReadOnlyObjectWrapper<>(new ControllerOutcome.Waiting(""));

  public ControllerModel(Machine machine) {
    super(AnsweredModel::nameOf);
    this.machine = machine;
    topWord.set(1000);
    rule.set(0.5);
    if (machine.build().headTravels()) {
      for (Motion item : Motion.values()) {
        ask(item);
      }
    }
    begin();
  }

  private List<NumberEntry> scale(String axis, String towards) {
    return List.of(
        keep(
            EntryDesk.READING + "commanded" + axis,
            new NumberEntry("Commanded to the " + towards, "mm", 0.1, 100_000)),
        keep(
            EntryDesk.READING + "measured" + axis,
            new NumberEntry("Measured to the " + towards, "mm", 0.1, 100_000)));
  }

  private static void readable(String text) {
    if (isNumbered(text)) {
      Settings.parse(text);
    } else {
      NamedFields.parse(text);
    }
  }

  private static boolean isNumbered(String text) {
    return text.lines().anyMatch(l -> l.strip().matches("\\$\\d{1,5}\\s*=.*"));
  }

  WordsEntry dump() {
    return dump;
  }

  List<NumberEntry> software() {
    return List.of(topWord, areaX, areaY);
  }

  /** What the head of this configuration reaches, where it is not what the machine travels. */
  List<NumberEntry> travel() {
    return List.of(travelX, travelY);
  }

  ObjectProperty<Head> headProperty() {
    return head;
  }

  /** Takes over what belonged to the head when this configuration was last recorded. */
  void takeHead(Map<String, String> typedThen) {
    Map<String, String> its = new HashMap<>(typedThen);
    its.keySet().retainAll(OF_A_HEAD);
    if (!typed().entrySet().containsAll(its.entrySet())) {
      Map<String, String> now = new HashMap<>(typed());
      now.putAll(its);
      type(now);
    }
  }

  ObjectProperty<Corner> homeProperty() {
    return home;
  }

  ObjectProperty<YesNo> switchesProperty() {
    return switches;
  }

  ObjectProperty<AirCode> sentProperty() {
    return sent;
  }

  ObjectProperty<AirCode> wiredProperty() {
    return wired;
  }

  ObjectProperty<Units> unitsProperty() {
    return units;
  }

  ObjectProperty<Origin> originProperty() {
    return origin;
  }

  ObjectProperty<Policy> policyProperty() {
    return policy;
  }

  ObjectProperty<TwoMarks> marksProperty() {
    return marks;
  }

  List<NumberEntry> scales() {
    return Stream.of(across, along, List.of(rule)).flatMap(List::stream).toList();
  }

  List<NumberEntry> runUp() {
    return List.of(speed, acceleration, width);
  }

  ObjectProperty<HomeAtStart> homeAtStartProperty() {
    return homeAtStart;
  }

  WordsEntry configuration() {
    return configuration;
  }

  /** The lens that is on it, for a page of named fields. */
  NumberEntry lens() {
    return lens;
  }

  /** The page it uses without the computer. */
  WordsEntry offline() {
    return offline;
  }

  /** The least current or power that left a mark, from the panel's own button or a test shot. */
  WordsEntry leastMark() {
    return leastMark;
  }

  WordsEntry connection() {
    return connection;
  }

  /** The text as it was last left, to be compared with. */
  void setLeftBefore(Optional<String> text) {
    if (!text.equals(leftBefore)) {
      leftBefore = text;
      solve();
    }
  }

  Optional<String> leftBefore() {
    return leftBefore;
  }

  public ReadOnlyObjectProperty<ControllerOutcome> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  /** The numbered settings that stand there, when they can be read. */
  Optional<Settings> settings() {
    return dump.isEmpty() || !dump.problemProperty().get().isEmpty() || !isNumbered(dump.text())
        ? Optional.empty()
        : Optional.of(Settings.parse(dump.text()));
  }

  @Override
  protected void solve() {
    outcome.set(outcome());
  }

  private ControllerOutcome outcome() {
    Optional<String> problem = firstProblem(fields().stream());
    if (problem.isPresent()) {
      return new ControllerOutcome.Refused(problem.get());
    }
    if (dump.isEmpty()) {
      return new ControllerOutcome.Waiting("the settings, by link or pasted");
    }
    Optional<NumberEntry> missing = needed().filter(NumberEntry::isEmpty).findFirst();
    if (missing.isPresent()) {
      return new ControllerOutcome.Waiting(missing.get().name());
    }
    try {
      ControllerVisit visit = visit();
      return new ControllerOutcome.Found(visit, visit.solve(machine));
    } catch (UnusableReading e) {
      var first = e.complaints().getFirst();
      return new ControllerOutcome.Refused(
          "%s is %s. Accepted is %s.".formatted(first.field(), first.found(), first.accepted()));
    }
  }

  private Stream<NumberEntry> needed() {
    Stream<NumberEntry> needed = Stream.of(topWord);
    if (!areaX.isEmpty() || !areaY.isEmpty()) {
      needed = Stream.concat(needed, Stream.of(areaX, areaY));
    }
    for (List<NumberEntry> axis : List.of(across, along)) {
      if (NumberEntry.begun(axis)) {
        needed = Stream.concat(Stream.concat(needed, axis.stream()), Stream.of(rule));
      }
    }
    if (!speed.isEmpty() || !width.isEmpty()) {
      needed = Stream.concat(needed, Stream.of(speed, width));
      if (accelerationMmS2(Settings.ACCELERATION_X).isEmpty()) {
        needed = Stream.concat(needed, Stream.of(acceleration));
      }
    }
    return needed;
  }

  private OptionalDouble accelerationMmS2(int setting) {
    return acceleration.value().isPresent()
        ? acceleration.value()
        : settings().map(s -> s.number(setting, 0.001, 1e7)).orElse(OptionalDouble.empty());
  }

  private ControllerVisit visit() {
    boolean numbered = isNumbered(dump.text());
    List<Proof> made = new ArrayList<>();
    proofs()
        .forEach((item, proven) -> {
          if (proven.get() != Proven.NOT_YET) {
            made.add(new Proof(item, proven.get() == Proven.YES));
          }
        });
    return new ControllerVisit(
        numbered ? Optional.of(readings()) : Optional.empty(),
        numbered ? Optional.empty() : Optional.of(dump.text()),
        lens.value(),
        offline.isEmpty() ? Optional.empty() : Optional.of(offline.text()),
        leftBefore,
        axis(across, Settings.STEPS_PER_MM_X),
        axis(along, Settings.STEPS_PER_MM_Y),
        speed.isEmpty()
            ? Optional.empty()
            : Optional.of(
                new RunUp.Readings(
                    speed.number(),
                    accelerationMmS2(Settings.ACCELERATION_X).orElseThrow(),
                    width.number())),
        marks.get(),
        homeAtStart.get(),
        configuration.text().strip(),
        connection.text(),
        made);
  }

  private Optional<AxisScale.Readings> axis(List<NumberEntry> entries, int stepsSetting) {
    return NumberEntry.begun(entries)
        ? Optional.of(
            new AxisScale.Readings(
                entries.get(0).number(),
                entries.get(1).number(),
                rule.number(),
                SCALE_PER_MILLE,
                settings()
                    .map(s -> s.number(stepsSetting, 0.001, 1e7))
                    .orElse(OptionalDouble.empty())))
        : Optional.empty();
  }

  private ControllerReadings readings() {
    return new ControllerReadings(
        dump.text(),
        new MachineFacts(
            List.of(
                travelX.value().orElse(machine.areaXMm()),
                travelY.value().orElse(machine.areaYMm())),
            home.get(),
            switches.get() == YesNo.YES,
            laser()),
        new JobSoftware(
            topWord.number(),
            sent.get(),
            units.get(),
            areaX.isEmpty()
                ? Optional.empty()
                : Optional.of(List.of(areaX.number(), areaY.number())),
            origin.get().corner()),
        wired.get(),
        policy.get(),
        Optional.of(head.get()));
  }

  private Laser laser() {
    return switch (machine.source().kind()) {
      case CO2_GLASS_TUBE, CO2_RF_TUBE -> Laser.CO2;
      case DIODE -> Laser.DIODE;
      case FIBRE, MOPA_FIBRE -> Laser.FIBRE;
      case UV -> Laser.UV;
    };
  }

  /** Speeds in a dump are per minute. */
  OptionalDouble mostSpeedMmS() {
    OptionalDouble perMinute =
        settings().map(s -> s.number(Settings.MOST_SPEED_X, 0, 1e9)).orElse(OptionalDouble.empty());
    return perMinute.isPresent()
        ? OptionalDouble.of(perMinute.getAsDouble() / SECONDS_PER_MINUTE)
        : perMinute;
  }
}
