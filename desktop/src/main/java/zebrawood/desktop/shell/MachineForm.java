package zebrawood.desktop.shell;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import javafx.beans.value.ObservableValue;
import zebrawood.desktop.fields.LengthEntry;
import zebrawood.desktop.fields.TypedEntry;
import zebrawood.desktop.fields.WordsEntry;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.machine.PulseRange;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.Numbers;

/** What is typed on the new-machine form, and the machine that it makes. Knows no scene. */
final class MachineForm {
  private final List<Machine> others;
  private final StringProperty name = new SimpleStringProperty("");
  private final ObjectProperty<Build> build = new SimpleObjectProperty<>(Build.GANTRY_WITH_MIRRORS);
  private final ObjectProperty<SourceKind> kind =
      new SimpleObjectProperty<>(SourceKind.CO2_GLASS_TUBE);
  private final StringProperty watts = new SimpleStringProperty();
  private final StringProperty wavelengthNm = new SimpleStringProperty();
  private final ObjectProperty<BedSupport> support = new SimpleObjectProperty<>(BedSupport.SCREWS);
  private final LengthEntry width;
  private final LengthEntry depth;
  private final LengthEntry tolerance;
  private final Map<Fitting, BooleanProperty> fitted = new EnumMap<>(Fitting.class);
  private final StringProperty startUp = new SimpleStringProperty("");
  private final WordsEntry lenses = new WordsEntry("Lenses", TypedOptics::lenses);
  private final WordsEntry pulses = new WordsEntry("Pulses", TypedOptics::pulses);
  private final WordsEntry mirrors = new WordsEntry("Mirrors", TypedOptics::mirrors);
  private final Optional<Machine> before;
  private final ReadOnlyStringWrapper problem = new ReadOnlyStringWrapper("");

  /** Whether somebody chose by hand; till then it follows build and source. */
  private boolean fittedByHand;

  private boolean filling;

  /**
   * @param before the machine as it was, when its description is changed
   */
  MachineForm(List<Machine> others, LengthUnit unit, Optional<Machine> before) {
    this.others = List.copyOf(others);
    this.before = before;
    width = new LengthEntry("Width", 10, 10_000, true, unit);
    depth = new LengthEntry("Depth", 10, 10_000, true, unit);
    tolerance = new LengthEntry("Level limit", 0, 20, false, unit);
    width.setMm(600);
    depth.setMm(400);
    tolerance.setMm(0.3);
    for (Fitting fitting : Fitting.values()) {
      fitted.put(fitting, new SimpleBooleanProperty());
    }
    kind.subscribe(k -> {
      watts.set(Numbers.plain(k.usualWatts()));
      wavelengthNm.set(Numbers.plain(k.usualWavelengthNm()));
    });
    build.subscribe(b -> followUsual());
    kind.subscribe(k -> followUsual());
    fitted.values().forEach(f -> f.subscribe((was, is) -> fittedByHand |= !filling));
    before.ifPresent(this::fill);
    startUp.subscribe(p -> check());
    for (ObservableValue<?> property :
        List.<ObservableValue<?>>of(name, build, kind, watts, wavelengthNm, support)) {
      property.subscribe(p -> check());
    }
    for (TypedEntry entry : List.of(width, depth, tolerance, lenses, pulses, mirrors)) {
      entry.textProperty().subscribe(t -> check());
    }
  }

  private void fill(Machine machine) {
    name.set(machine.name());
    build.set(machine.build());
    kind.set(machine.source().kind());
    watts.set(Numbers.plain(machine.source().watts()));
    wavelengthNm.set(Numbers.plain(machine.source().wavelengthNm()));
    support.set(machine.bedSupport());
    width.setMm(machine.areaXMm());
    depth.setMm(machine.areaYMm());
    tolerance.setMm(machine.levelToleranceMm());
    tick(machine.fitted());
    fittedByHand = machine.fittings().isPresent();
    lenses.textProperty().set(machine.lenses().map(TypedOptics::words).orElse(""));
    pulses.textProperty().set(machine.source().pulses().map(PulseRange::words).orElse(""));
    mirrors.textProperty().set(machine.train().map(TypedOptics::words).orElse(""));
    startUp.set(machine.startUp().map(order -> String.join(", ", order)).orElse(""));
  }

  /** What such a machine usually has, as long as nobody chose. */
  private void followUsual() {
    if (!fittedByHand) {
      tick(
          new Machine(
                  "usual",
                  "usual",
                  build.get(),
                  new Source(kind.get(), kind.get().usualWatts(), kind.get().usualWavelengthNm()),
                  100,
                  100,
                  BedSupport.SCREWS,
                  1)
              .fitted());
    }
  }

  private void tick(List<Fitting> chosen) {
    filling = true;
    fitted.forEach((fitting, property) -> property.set(chosen.contains(fitting)));
    filling = false;
  }

  Map<Fitting, BooleanProperty> fitted() {
    return fitted;
  }

  /**
   * The parts in the order they are switched on, with commas between; empty for the usual order.
   */
  StringProperty startUpProperty() {
    return startUp;
  }

  private List<String> startUpOrder() {
    return Stream.of(startUp.get().split("[,;]"))
        .map(String::strip)
        .filter(w -> !w.isEmpty())
        .toList();
  }

  /** Focal lengths in mm, with a slash and the field where one has a field. */
  StringProperty lensesProperty() {
    return lenses.textProperty();
  }

  /** Pulse frequencies in kHz, as a range. */
  StringProperty pulsesProperty() {
    return pulses.textProperty();
  }

  /** The angle of incidence at each steering mirror, in degrees. */
  StringProperty mirrorsProperty() {
    return mirrors.textProperty();
  }

  StringProperty nameProperty() {
    return name;
  }

  ObjectProperty<Build> buildProperty() {
    return build;
  }

  ObjectProperty<SourceKind> kindProperty() {
    return kind;
  }

  StringProperty wattsProperty() {
    return watts;
  }

  StringProperty wavelengthNmProperty() {
    return wavelengthNm;
  }

  ObjectProperty<BedSupport> supportProperty() {
    return support;
  }

  LengthEntry width() {
    return width;
  }

  LengthEntry depth() {
    return depth;
  }

  LengthEntry tolerance() {
    return tolerance;
  }

  /** The first thing that is wrong, in a sentence; empty when the machine can be made. */
  ReadOnlyStringProperty problemProperty() {
    return problem.getReadOnlyProperty();
  }

  private void check() {
    List<String> problems = new ArrayList<>();
    if (name.get().isBlank()) {
      problems.add("Name is empty. Accepted is a name of your own, such as a plant's.");
    } else if (name.get().strip().length() > 60) {
      problems.add("Name has %d letters. Accepted are at most 60.".formatted(name.get().length()));
    } else if (others.stream()
        .filter(m -> before.filter(b -> b.id().equals(m.id())).isEmpty())
        .anyMatch(m -> m.name().equalsIgnoreCase(name.get().strip()))) {
      problems.add("Name \"%s\" is taken. Accepted is another one.".formatted(name.get().strip()));
    }
    number("Watts", watts, 100_000, problems);
    number("Wavelength", wavelengthNm, 20_000, problems);
    if (number(wavelengthNm).filter(nm -> nm < 180).isPresent()) {
      problems.add("Wavelength is below 180 nm. Accepted is from 180 to 20000 nm.");
    }
    for (LengthEntry entry : List.of(width, depth, tolerance)) {
      problems.add(entry.isEmpty() ? entry.name() + " is empty." : entry.problemProperty().get());
    }
    for (WordsEntry entry : List.of(lenses, pulses, mirrors)) {
      problems.add(entry.problemProperty().get());
    }
    if (startUpOrder().size() > 12 || startUpOrder().stream().anyMatch(w -> w.length() > 60)) {
      problems.add("Switch on: accepted are at most 12 parts of at most 60 letters each.");
    }
    problem.set(problems.stream().filter(p -> !p.isEmpty()).findFirst().orElse(""));
  }

  private static void number(
      String field, StringProperty text, double most, List<String> problems) {
    if (number(text).filter(n -> n > 0 && n <= most).isEmpty()) {
      problems.add(
          "%s: \"%s\" is not usable. Accepted is a number more than 0 and at most %s."
              .formatted(field, text.get(), Numbers.plain(most)));
    }
  }

  private static Optional<Double> number(StringProperty text) {
    try {
      String plain = text.get().strip().toLowerCase(Locale.ROOT).replace(',', '.');
      double value = Double.parseDouble(plain);
      return Double.isFinite(value) ? Optional.of(value) : Optional.empty();
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }

  /** The machine, when nothing is wrong. */
  Optional<Machine> machine() {
    if (!problem.get().isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        new Machine(
            before.map(Machine::id).orElseGet(() -> UUID.randomUUID().toString()),
            name.get().strip(),
            build.get(),
            new Source(
                kind.get(),
                number(watts).orElseThrow(),
                number(wavelengthNm).orElseThrow(),
                said(pulses, kind.get().pulsed()).map(TypedOptics::pulses)),
            width.mm().orElseThrow(),
            depth.mm().orElseThrow(),
            build.get() == Build.GALVO ? BedSupport.SHIMS : support.get(),
            tolerance.mm().orElseThrow(),
            fittedByHand ? Optional.of(chosen()) : Optional.empty(),
            startUpOrder().isEmpty() ? Optional.empty() : Optional.of(startUpOrder()),
            said(lenses, true).map(TypedOptics::lenses),
            said(mirrors, build.get() == Build.GANTRY_WITH_MIRRORS).map(TypedOptics::mirrors)));
  }

  /** What is typed, where it applies to such a machine. */
  private static Optional<String> said(WordsEntry entry, boolean applies) {
    return applies && !entry.isEmpty() ? Optional.of(entry.text()) : Optional.empty();
  }

  private List<Fitting> chosen() {
    return fitted.entrySet().stream()
        .filter(e -> e.getValue().get())
        .map(Map.Entry::getKey)
        .toList();
  }
}
