package zebrawood.desktop.shell;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.machine.Identity;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.machine.PulseRange;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.machine.Train;
import zebrawood.quantity.DisplayUnits;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** What is typed on the new-machine form, and the machine that it makes. Knows no scene. */
final class MachineForm {
  /** The section with what is fitted. */
  static final String FITTED = "machine.group.fitted";

  /** The section with a row for each lens. */
  static final String LENSES = "machine.group.lenses";

  private static final int LONGEST_NAME = 60;
  private static final int MOST_PARTS = 12;
  private static final int MOST_LENSES = 12;
  private final List<Machine> others;
  private final Phrasebook words;
  private final Optional<Machine> before;
  private final StationForm form;
  private final WordsField name;
  private final ChoiceField<Build> build;
  private final ChoiceField<SourceKind> source;
  private final QuantityField watts;
  private final QuantityField wavelength;
  private final QuantityField width;
  private final QuantityField depth;
  private final ChoiceField<BedSupport> support;
  private final QuantityField tolerance;
  private final ChoiceField<CoolingIfKnown> cooling;
  private final ChoiceField<MovesIfKnown> moves;
  private final ChoiceField<Optics> optics;
  private final WordsField ownLines;
  private final Map<Fitting, BooleanProperty> fitted = new EnumMap<>(Fitting.class);
  private final WordsField serialNumber;
  private final WordsField place;
  private final WordsField customer;
  private final ChoiceField<Reality> reality;
  private final WordsField startUp;
  private final Group<LensRow> lenses;
  private final WordsField pulses;
  private final WordsField mirrors;
  private final ChoiceField<Train.GantryEnd> lastAt;
  private final ChoiceField<Train.TravelEnd> railAt;
  private final ReadOnlyObjectWrapper<Optional<Message>> problem =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  /** Whether somebody chose by hand; till then it follows build and source. */
  private boolean fittedByHand;

  private boolean filling;

  /**
   * @param before the machine as it was, when its description is changed
   */
  MachineForm(List<Machine> others, Phrasebook words, Optional<Machine> before) {
    this.others = List.copyOf(others);
    this.words = words;
    this.before = before;
    DisplayUnits units = words.units();
    form = new StationForm("machine", units);
    name = form.plainWords("name");
    build = form.choice("build", Build.class, Build.GANTRY_WITH_MIRRORS);
    source = form.choice("source", SourceKind.class, SourceKind.CO2_GLASS_TUBE);
    watts = form.positive("watts", Quantity.POWER, 100_000);
    wavelength = form.quantity("wavelength", Quantity.WAVELENGTH, 180, 20_000);
    width = form.quantity("width", Quantity.LENGTH, 10, 10_000);
    depth = form.quantity("depth", Quantity.LENGTH, 10, 10_000);
    support = form.choice("support", BedSupport.class, BedSupport.SCREWS);
    tolerance = form.positive("tolerance", Quantity.LENGTH, 20);
    cooling = form.choice("cooling", CoolingIfKnown.class, CoolingIfKnown.CHILLER);
    moves = form.choice("moves", MovesIfKnown.class, MovesIfKnown.NOT_KNOWN);
    optics = form.choice("sealed", Optics.class, Optics.OPEN);
    ownLines = form.plainWords("ownLines");
    serialNumber = form.plainWords("serialNumber");
    place = form.plainWords("place");
    customer = form.plainWords("customer");
    reality = form.choice("reality", Reality.class, Reality.REAL);
    startUp = form.plainWords("startUp");
    lenses = form.group("lens", 1, MOST_LENSES, i -> LensRow.make(form, i));
    pulses = form.words("pulses", TypedOptics::pulses);
    mirrors = form.words("mirrors", TypedOptics::mirrors);
    lastAt = form.choice("lastAt", Train.GantryEnd.class, Train.GantryEnd.LEFT);
    railAt = form.choice("railAt", Train.TravelEnd.class, Train.TravelEnd.REAR);
    tolerance.set(0.3);
    for (Fitting fitting : Fitting.values()) {
      // Whether there is a chiller is asked as what cools it.
      if (fitting != Fitting.CHILLER) {
        fitted.put(fitting, new SimpleBooleanProperty());
      }
    }
    source.valueProperty().subscribe(k -> wavelength.set(k.usualWavelengthNm()));
    build.valueProperty().subscribe(b -> followUsual());
    source.valueProperty().subscribe(k -> followUsual());
    source
        .valueProperty()
        .subscribe(k ->
            cooling.set(
                k == SourceKind.CO2_GLASS_TUBE
                    ? CoolingIfKnown.CHILLER
                    : CoolingIfKnown.NOT_KNOWN));
    fitted.values().forEach(f -> f.subscribe((was, is) -> fittedByHand |= !filling));
    before.ifPresent(this::fill);
    form.setOnChange(this::check);
    check();
  }

  private void fill(Machine machine) {
    name.set(machine.name());
    reality.set(Reality.of(machine));
    build.set(machine.build());
    source.set(machine.source().kind());
    boolean chiller = machine.fittings().filter(f -> f.contains(Fitting.CHILLER)).isPresent();
    cooling.set(
        machine.cooling().isEmpty() && chiller
            ? CoolingIfKnown.CHILLER
            : CoolingIfKnown.of(machine.cooling()));
    watts.set(machine.source().watts());
    wavelength.set(machine.source().wavelengthNm());
    support.set(machine.bedSupport());
    width.set(machine.areaXMm());
    depth.set(machine.areaYMm());
    tolerance.set(machine.levelToleranceMm());
    tick(machine.fitted());
    fittedByHand = machine.fittings().isPresent();
    List<Lens> its = machine.lenses().orElse(List.of());
    lenses.resize(its.size());
    for (int i = 0; i < its.size(); i++) {
      lenses.rows().get(i).set(its.get(i));
    }
    pulses.set(machine.source().pulses().map(PulseRange::said).map(words::say).orElse(""));
    mirrors.set(machine.train().map(TypedOptics::words).orElse(""));
    machine.train().flatMap(Train::lastAt).ifPresent(lastAt::set);
    machine.train().flatMap(Train::railAt).ifPresent(railAt::set);
    optics.set(machine.mirrorTrain().alignedByMaker() ? Optics.SEALED : Optics.OPEN);
    moves.set(MovesIfKnown.of(machine.moves()));
    ownLines.set(machine.ownLines().map(lines -> String.join("; ", lines)).orElse(""));
    machine
        .identity()
        .ifPresent(identity -> {
          identity.serialNumber().ifPresent(serialNumber::set);
          identity.place().ifPresent(place::set);
          identity.customer().ifPresent(customer::set);
        });
    startUp.set(machine.startUp().map(order -> String.join(", ", order)).orElse(""));
  }

  /** What such a machine usually has, as long as nobody chose. */
  private void followUsual() {
    if (!fittedByHand) {
      SourceKind kind = source.get();
      tick(
          new Machine(
                  "usual",
                  "usual",
                  build.get(),
                  new Source(kind, kind.usualWatts(), kind.usualWavelengthNm()),
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

  StationForm form() {
    return form;
  }

  /** Fields that belong together, under a heading of their own. */
  record Section(String heading, List<Field> fields) {}

  /** In the order they stand on the card: what decides about the others comes first. */
  List<Section> sections() {
    return List.of(
        new Section("machine.group.kind", List.of(build, source, name)),
        new Section("machine.group.source", List.of(watts, wavelength, pulses)),
        new Section("machine.group.area", List.of(width, depth, support, tolerance, moves)),
        new Section(LENSES, List.of()),
        new Section("machine.group.mirrors", List.of(optics, mirrors, lastAt, railAt)),
        new Section(FITTED, List.of(cooling, startUp, ownLines)),
        new Section("machine.group.whose", List.of(serialNumber, place, customer, reality)));
  }

  /** What decides which fields apply. */
  List<ChoiceField<?>> deciding() {
    return List.of(build, source);
  }

  WordsField name() {
    return name;
  }

  /** Whether a field says anything of such a machine. */
  boolean applies(Field field) {
    boolean mirrored = build.get() == Build.GANTRY_WITH_MIRRORS;
    if (field == support) {
      return build.get() != Build.GALVO;
    }
    if (field == pulses) {
      return source.get().pulsed();
    }
    if (field == reality) {
      // What is recorded of a machine stays that of a real one, or of a simulated one.
      return before.isEmpty();
    }
    return mirrored || !List.of(optics, mirrors, lastAt, railAt).contains(field);
  }

  Group<LensRow> lenses() {
    return lenses;
  }

  Map<Fitting, BooleanProperty> fitted() {
    return fitted;
  }

  private List<String> startUpOrder() {
    return Stream.of(startUp.text().split("[,;]"))
        .map(String::strip)
        .filter(w -> !w.isEmpty())
        .toList();
  }

  private List<String> typedOwnLines() {
    return Stream.of(ownLines.text().split(";"))
        .map(String::strip)
        .filter(w -> !w.isEmpty())
        .toList();
  }

  /** The first thing that is wrong; empty when the machine can be made. */
  ReadOnlyObjectProperty<Optional<Message>> problemProperty() {
    return problem.getReadOnlyProperty();
  }

  private void check() {
    problem.set(
        nameProblem()
            .or(() ->
                Stream.concat(
                        Stream.of(watts, wavelength, width, depth, tolerance),
                        lenses.begun().stream().map(LensRow::engraved))
                    .filter(QuantityField::isEmpty)
                    .findFirst()
                    .map(f -> Message.of("form.empty", f.label())))
            .or(() -> form.fields().flatMap(f -> f.problem().stream()).findFirst())
            .or(() ->
                source.get().coolingDiffers() && cooling.get() == CoolingIfKnown.NOT_KNOWN
                    ? Optional.of(Message.of("form.empty", cooling.label()))
                    : Optional.empty())
            .or(() ->
                Stream.concat(
                        Stream.of(serialNumber, place, customer),
                        lenses.rows().stream().map(LensRow::name))
                    .filter(f -> f.text().strip().length() > Identity.LONGEST)
                    .findFirst()
                    .map(f -> Message.of("machine.problem.long", f.label(), Identity.LONGEST)))
            .or(() ->
                startUpOrder().size() > MOST_PARTS
                        || startUpOrder().stream().anyMatch(w -> w.length() > LONGEST_NAME)
                    ? Optional.of(Message.of("machine.problem.start-up", MOST_PARTS, LONGEST_NAME))
                    : Optional.empty())
            .or(() ->
                typedOwnLines().size() > Machine.MOST_OWN_LINES
                        || typedOwnLines().stream().anyMatch(w -> w.length() > Machine.LONGEST_LINE)
                    ? Optional.of(
                        Message.of(
                            "machine.problem.own-lines",
                            Machine.MOST_OWN_LINES,
                            Machine.LONGEST_LINE))
                    : Optional.empty()));
  }

  private Optional<Message> nameProblem() {
    String typed = name.text().strip();
    if (typed.isEmpty()) {
      return Optional.of(Message.of("machine.problem.no-name"));
    }
    if (typed.length() > LONGEST_NAME) {
      return Optional.of(Message.of("machine.problem.long-name", typed.length(), LONGEST_NAME));
    }
    return others.stream()
            .filter(m -> before.filter(b -> b.id().equals(m.id())).isEmpty())
            .anyMatch(m -> m.name().equalsIgnoreCase(typed))
        ? Optional.of(Message.of("machine.problem.taken", typed))
        : Optional.empty();
  }

  /** The machine, when nothing is wrong. */
  Optional<Machine> machine() {
    if (problem.get().isPresent()) {
      return Optional.empty();
    }
    return Optional.of(
        new Machine(
            before.map(Machine::id).orElseGet(() -> UUID.randomUUID().toString()),
            name.text().strip(),
            build.get(),
            new Source(
                source.get(),
                watts.number(),
                wavelength.number(),
                said(pulses).map(TypedOptics::pulses)),
            width.number(),
            depth.number(),
            build.get() == Build.GALVO ? BedSupport.SHIMS : support.get(),
            tolerance.number(),
            fittedByHand ? Optional.of(chosen()) : Optional.empty(),
            startUpOrder().isEmpty() ? Optional.empty() : Optional.of(startUpOrder()),
            lenses.begun().isEmpty()
                ? Optional.empty()
                : Optional.of(lenses.begun().stream().map(LensRow::lens).toList()),
            train(),
            identity(),
            reality.get().trial(),
            cooling.get().known(),
            moves.get().known(),
            typedOwnLines().isEmpty() ? Optional.empty() : Optional.of(typedOwnLines())));
  }

  /** What of it was told. */
  private Optional<Identity> identity() {
    Identity its = new Identity(told(serialNumber), told(place), told(customer));
    return its.said().isEmpty() ? Optional.empty() : Optional.of(its);
  }

  private static Optional<String> told(WordsField field) {
    return field.isEmpty() ? Optional.empty() : Optional.of(field.text().strip());
  }

  /** Its mirrors, as soon as anything of them was said. */
  private Optional<Train> train() {
    boolean placed = !lastAt.isEmpty() || !railAt.isEmpty();
    boolean before = this.before.flatMap(Machine::train).flatMap(Train::lastAt).isPresent();
    boolean sealed = optics.get() == Optics.SEALED;
    if (!applies(mirrors) || mirrors.isEmpty() && !placed && !before && !sealed) {
      return Optional.empty();
    }
    Train its = mirrors.isEmpty() ? Train.USUAL : TypedOptics.mirrors(mirrors.text());
    boolean told = placed || before;
    return Optional.of(
        new Train(
            its.incidenceDeg(),
            told ? Optional.of(lastAt.get()) : Optional.empty(),
            told ? Optional.of(railAt.get()) : Optional.empty(),
            sealed ? Optional.of(true) : Optional.empty()));
  }

  /** What is typed, where it applies to such a machine. */
  private Optional<String> said(WordsField field) {
    return applies(field) && !field.isEmpty() ? Optional.of(field.text()) : Optional.empty();
  }

  private List<Fitting> chosen() {
    return fitted.entrySet().stream()
        .filter(e -> e.getValue().get())
        .map(Map.Entry::getKey)
        .toList();
  }
}
