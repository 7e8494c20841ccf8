package zebrawood.desktop.bed;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import zebrawood.bed.BedReadings;
import zebrawood.bed.BedTask;
import zebrawood.bed.Clockwise;
import zebrawood.bed.Feel;
import zebrawood.bed.FeelCheck.FeelReadings;
import zebrawood.bed.FeelCheck.FeltPlace;
import zebrawood.bed.Foot;
import zebrawood.bed.GapPoint;
import zebrawood.bed.Screw;
import zebrawood.bed.ShimReadings;
import zebrawood.desktop.fields.LengthEntry;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.measure.LengthUnit;
import zebrawood.measure.Numbers;
import zebrawood.measure.TypedLength;
import zebrawood.measure.UnusableReading;

/**
 * What is typed on the bed sheet and what follows from it. Every change of any field solves again
 * at once. Knows no scene.
 */
public final class BedModel implements EntryDesk.Typed {
  /** Places and screws sit this far inside the work area unless it is told otherwise. */
  private static final double INSET_SHARE = 0.03;

  private static final double USUAL_PITCH_MM = 0.7;
  private static final String USUAL_SHIMS = "0.1, 0.2, 0.5, 1.0";
  public static final int MOST_PLACES = 30;

  private final Machine machine;
  private LengthUnit unit;
  private final ObjectProperty<BedWay> way = new SimpleObjectProperty<>(BedWay.GAP);
  private final LengthEntry resolution;
  private final LengthEntry tolerance;
  private final StringProperty atHand = new SimpleStringProperty(USUAL_SHIMS);
  private final ObjectProperty<Optional<String>> keep =
      new SimpleObjectProperty<>(Optional.empty());
  private final ReadOnlyObjectWrapper<List<LengthEntry>> columns = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<List<LengthEntry>> rows = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<List<BedPlace>> places = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<List<Support>> supports = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<BedOutcome> outcome =
      new ReadOnlyObjectWrapper<>(new BedOutcome.Waiting(3));
  private Consumer<Map<String, String>> onTyped = typed -> {};
  private boolean quiet;

  public BedModel(Machine machine, LengthUnit unit) {
    this.machine = machine;
    this.unit = unit;
    resolution = new LengthEntry("Gauge", 0, 50, false, unit);
    tolerance = new LengthEntry("Limit", 0, 20, false, unit);
    quietly(() -> {
      resolution.setMm(0.1);
      tolerance.setMm(machine.levelToleranceMm());
      setGrid(2, 2);
      supports.set(usualSupports());
    });
    way.subscribe((before, now) -> {
      places.get().forEach(p -> p.readBy(now));
      changed();
    });
    atHand.subscribe((before, now) -> changed());
    keep.subscribe((before, now) -> changed());
    Stream.of(resolution, tolerance).forEach(this::follow);
    changed();
  }

  private void follow(LengthEntry entry) {
    entry.textProperty().subscribe((before, now) -> changed());
  }

  private List<Support> usualSupports() {
    double insetX = onShims() ? 0 : machine.areaXMm() * INSET_SHARE;
    double insetY = onShims() ? 0 : machine.areaYMm() * INSET_SHARE;
    List<Support> made = new ArrayList<>();
    for (boolean rear : new boolean[] {false, true}) {
      for (boolean right : new boolean[] {false, true}) {
        made.add(
            support(
                BedPlace.corner(right, rear),
                right ? machine.areaXMm() - insetX : insetX,
                rear ? machine.areaYMm() - insetY : insetY));
      }
    }
    return made;
  }

  private Support support(String id, double xMm, double yMm) {
    Support support = new Support(id, xMm, yMm, USUAL_PITCH_MM, unit);
    support.idProperty().subscribe((before, now) -> changed());
    support.clockwiseProperty().subscribe((before, now) -> changed());
    Stream.of(support.x(), support.y(), support.pitch()).forEach(this::follow);
    return support;
  }

  /** Whether shims level it: a bed without screws, or a fixed head. */
  public boolean onShims() {
    return machine.bedSupport() == BedSupport.SHIMS || underHead();
  }

  /** Whether the shims go under the column of a fixed head. */
  public boolean underHead() {
    return machine.build() == Build.GALVO;
  }

  public ObjectProperty<BedWay> wayProperty() {
    return way;
  }

  public LengthEntry resolution() {
    return resolution;
  }

  public LengthEntry tolerance() {
    return tolerance;
  }

  /** Thicknesses at hand, with commas between them. */
  public StringProperty atHandProperty() {
    return atHand;
  }

  /** The screw that stays, if one is chosen. */
  public ObjectProperty<Optional<String>> keepProperty() {
    return keep;
  }

  public ReadOnlyObjectProperty<List<LengthEntry>> columnsProperty() {
    return columns.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<List<LengthEntry>> rowsProperty() {
    return rows.getReadOnlyProperty();
  }

  /** From the front left to the right, then the next row to the rear. */
  public ReadOnlyObjectProperty<List<BedPlace>> placesProperty() {
    return places.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<List<Support>> supportsProperty() {
    return supports.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<BedOutcome> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  /** Called with every field's text whenever one changes. */
  public void setOnTyped(Consumer<Map<String, String>> use) {
    onTyped = use;
  }

  /** Spreads so many places over the work area; readings at corners that remain are kept. */
  public void setGrid(int across, int deep) {
    List<BedPlace> before = places.get() == null ? List.of() : places.get();
    quietly(() -> {
      columns.set(spread("x", across, machine.areaXMm()));
      rows.set(spread("y", deep, machine.areaYMm()));
      List<BedPlace> made = new ArrayList<>();
      for (int row = 0; row < deep; row++) {
        for (int column = 0; column < across; column++) {
          BedPlace place =
              new BedPlace(BedPlace.name(column, row, across, deep), column, row, unit);
          before.stream()
              .filter(b -> b.name().equals(place.name()))
              .forEach(b -> place.reading().textProperty().set(b.reading().text()));
          place.readBy(way.get());
          follow(place.reading());
          made.add(place);
        }
      }
      places.set(List.copyOf(made));
    });
    changed();
  }

  private List<LengthEntry> spread(String axis, int count, double lengthMm) {
    double inset = Math.round(lengthMm * INSET_SHARE / 5) * 5.0;
    List<LengthEntry> made = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      LengthEntry entry =
          new LengthEntry("Place " + (i + 1) + " " + axis, -20_000, 20_000, true, unit);
      double at = inset + i * (lengthMm - 2 * inset) / Math.max(1, count - 1);
      entry.setMm(Math.round(at * 10) / 10.0);
      follow(entry);
      made.add(entry);
    }
    return List.copyOf(made);
  }

  /** Another screw or foot, in the middle of the front. */
  public void addSupport() {
    List<Support> more = new ArrayList<>(supports.get());
    more.add(support("number " + (more.size() + 1), machine.areaXMm() / 2, 0));
    supports.set(List.copyOf(more));
    changed();
  }

  /** Takes a screw or foot away; three must stay. */
  public void removeSupport(Support support) {
    if (supports.get().size() > 3) {
      supports.set(supports.get().stream().filter(s -> s != support).toList());
      changed();
    }
  }

  @Override
  public boolean nothingRead() {
    return places.get().stream().allMatch(p -> p.reading().isEmpty());
  }

  /** Clears the readings and keeps everything else, for the next round. */
  @Override
  public void clearReadings() {
    quietly(() -> places.get().forEach(p -> p.reading().textProperty().set("")));
    changed();
  }

  /** Shows lengths in another unit; every length stays what it is. */
  public void setUnit(LengthUnit now) {
    if (now == unit) {
      return;
    }
    List<Double> thicknesses = thicknesses().orElse(List.of());
    unit = now;
    quietly(() -> {
      lengths().forEach(entry -> entry.setUnit(now));
      if (!thicknesses.isEmpty()) {
        atHand.set(
            String.join(
                ", ", thicknesses.stream().map(mm -> Numbers.plain(unit.fromMm(mm))).toList()));
      }
    });
    changed();
  }

  public LengthUnit unit() {
    return unit;
  }

  public double areaXMm() {
    return machine.areaXMm();
  }

  public double areaYMm() {
    return machine.areaYMm();
  }

  private Stream<LengthEntry> lengths() {
    return Stream.of(
            Stream.of(resolution, tolerance),
            columns.get().stream(),
            rows.get().stream(),
            places.get().stream().map(BedPlace::reading),
            supports.get().stream().flatMap(s -> Stream.of(s.x(), s.y(), s.pitch())))
        .flatMap(s -> s);
  }

  /** The first thing wrong with the fields, in the order they stand on the sheet. */
  private Optional<String> firstProblem() {
    Stream<LengthEntry> used = lengths();
    if (way.get() == BedWay.FEEL) {
      used = used.filter(e -> e != resolution && e != tolerance && !isSupport(e));
    } else if (onShims()) {
      used = used.filter(e -> supports.get().stream().noneMatch(s -> s.pitch() == e));
    }
    return used.map(this::problem).filter(p -> !p.isEmpty()).findFirst();
  }

  private boolean isSupport(LengthEntry entry) {
    return supports.get().stream()
        .anyMatch(s -> s.x() == entry || s.y() == entry || s.pitch() == entry);
  }

  /** A reading may be missing; any other field may not. */
  private String problem(LengthEntry entry) {
    boolean reading = places.get().stream().anyMatch(p -> p.reading() == entry);
    return entry.isEmpty() && !reading
        ? entry.name() + " is empty. Accepted is " + TypedLength.ACCEPTED + "."
        : entry.problemProperty().get();
  }

  private void quietly(Runnable change) {
    boolean before = quiet;
    quiet = true;
    try {
      change.run();
    } finally {
      quiet = before;
    }
  }

  private void changed() {
    if (quiet) {
      return;
    }
    outcome.set(solve());
    onTyped.accept(typed());
  }

  private BedOutcome solve() {
    Optional<String> problem = firstProblem();
    if (problem.isPresent()) {
      return new BedOutcome.Refused(problem.get());
    }
    long read = places.get().stream().filter(p -> !p.reading().isEmpty()).count();
    if (read < 3) {
      return new BedOutcome.Waiting((int) (3 - read));
    }
    try {
      BedTask task = task();
      return new BedOutcome.Found(task, task.solve(), read == places.get().size());
    } catch (UnusableReading e) {
      return new BedOutcome.Refused(inWords(e));
    }
  }

  private static String inWords(UnusableReading refusal) {
    var first = refusal.complaints().getFirst();
    return "%s: %s. Accepted is %s."
        .formatted(
            first.field().substring(0, 1).toUpperCase(Locale.ROOT) + first.field().substring(1),
            first.found(),
            first.accepted());
  }

  private BedTask task() {
    if (way.get() == BedWay.FEEL) {
      return new BedTask.ByFeel(
          new FeelReadings(
              places.get().stream()
                  .filter(p -> !p.reading().isEmpty())
                  .map(p -> new FeltPlace(p.name(), x(p), y(p), p.feel().orElseThrow()))
                  .toList()));
    }
    double resolutionMm = resolution.mm().orElseThrow();
    double toleranceMm = tolerance.mm().orElseThrow();
    if (onShims()) {
      List<Double> thicknesses =
          thicknesses()
              .orElseThrow(() ->
                  UnusableReading.of(
                      "Shims at hand",
                      "\"" + atHand.get() + "\"",
                      "thicknesses with spaces between them, such as 0.1, 0.2, 0.5"));
      List<Foot> feet =
          supports.get().stream()
              .map(s -> new Foot(s.idProperty().get(), mm(s.x()), mm(s.y())))
              .toList();
      return new BedTask.OnShims(
          new ShimReadings(gaps(), resolutionMm, toleranceMm, feet), underHead(), thicknesses);
    }
    List<Screw> screws =
        supports.get().stream()
            .map(s ->
                new Screw(
                    s.idProperty().get(),
                    mm(s.x()),
                    mm(s.y()),
                    mm(s.pitch()),
                    s.clockwiseProperty().get()))
            .toList();
    Optional<String> kept =
        keep.get().filter(id -> screws.stream().anyMatch(s -> s.id().equals(id)));
    return new BedTask.OnScrews(new BedReadings(gaps(), resolutionMm, toleranceMm, screws, kept));
  }

  /** Heights become gaps below the highest of them, which the fit is indifferent to. */
  private List<GapPoint> gaps() {
    List<BedPlace> read = places.get().stream().filter(p -> !p.reading().isEmpty()).toList();
    double most = read.stream().mapToDouble(p -> mm(p.reading())).max().orElse(0);
    double least = read.stream().mapToDouble(p -> mm(p.reading())).min().orElse(0);
    return read.stream()
        .map(p -> {
          double mm = mm(p.reading());
          double gap =
              switch (way.get()) {
                case GAP, FEEL -> mm;
                case HEAD_HEIGHT -> most - mm;
                case BED_HEIGHT -> mm - least;
              };
          return new GapPoint(x(p), y(p), gap);
        })
        .toList();
  }

  /** The thicknesses at hand, or nothing when they cannot be read. */
  private Optional<List<Double>> thicknesses() {
    List<Double> read = new ArrayList<>();
    for (String word : atHand.get().split("[;\\s]+|,\\s+|,(?=\\D|$)")) {
      if (word.isBlank()) {
        continue;
      }
      if (TypedLength.read(word, unit) instanceof TypedLength.Understood(double mm, boolean p)
          && mm >= 0.01
          && mm <= 20) {
        read.add(mm);
      } else {
        return Optional.empty();
      }
    }
    return read.isEmpty() ? Optional.empty() : Optional.of(read);
  }

  private double x(BedPlace place) {
    return mm(columns.get().get(place.column()));
  }

  private double y(BedPlace place) {
    return mm(rows.get().get(place.row()));
  }

  private static double mm(LengthEntry entry) {
    OptionalDouble mm = entry.mm();
    return mm.orElseThrow();
  }

  /** Every field as typed, by name; {@link #type} is its inverse. */
  @Override
  public Map<String, String> typed() {
    Map<String, String> typed = new LinkedHashMap<>();
    typed.put("unit", unit.name());
    typed.put("way", way.get().name());
    typed.put("columns", String.valueOf(columns.get().size()));
    typed.put("rows", String.valueOf(rows.get().size()));
    typed.put("supports", String.valueOf(supports.get().size()));
    typed.put("resolution", resolution.text());
    typed.put("tolerance", tolerance.text());
    typed.put("atHand", atHand.get());
    keep.get().ifPresent(id -> typed.put("keep", id));
    putAll(typed, "x", columns.get());
    putAll(typed, "y", rows.get());
    putAll(typed, "reading", places.get().stream().map(BedPlace::reading).toList());
    List<Support> list = supports.get();
    for (int i = 0; i < list.size(); i++) {
      typed.put("support." + i + ".id", list.get(i).idProperty().get());
      typed.put("support." + i + ".x", list.get(i).x().text());
      typed.put("support." + i + ".y", list.get(i).y().text());
      typed.put("support." + i + ".pitch", list.get(i).pitch().text());
      typed.put("support." + i + ".clockwise", list.get(i).clockwiseProperty().get().name());
    }
    return typed;
  }

  private static void putAll(Map<String, String> typed, String name, List<LengthEntry> entries) {
    for (int i = 0; i < entries.size(); i++) {
      typed.put(name + "." + i, entries.get(i).text());
    }
  }

  /** Fills the fields with what was typed before; what is not named stays as it is. */
  @Override
  public void type(Map<String, String> typed) {
    if (typed.isEmpty()) {
      return;
    }
    LengthUnit shown = unit;
    quietly(() -> {
      setUnit(LengthUnit.valueOf(typed.getOrDefault("unit", shown.name())));
      way.set(BedWay.valueOf(typed.getOrDefault("way", BedWay.GAP.name())));
      setGrid(count(typed, "columns", 2), count(typed, "rows", 2));
      set(typed, "resolution", resolution);
      set(typed, "tolerance", tolerance);
      atHand.set(typed.getOrDefault("atHand", atHand.get()));
      keep.set(Optional.ofNullable(typed.get("keep")));
      setAll(typed, "x", columns.get());
      setAll(typed, "y", rows.get());
      setAll(typed, "reading", places.get().stream().map(BedPlace::reading).toList());
      typeSupports(typed);
      setUnit(shown);
    });
    changed();
  }

  private void typeSupports(Map<String, String> typed) {
    int count = count(typed, "supports", supports.get().size());
    List<Support> made = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      String at = "support." + i + ".";
      Support support = support(typed.getOrDefault(at + "id", "number " + (i + 1)), 0, 0);
      set(typed, at + "x", support.x());
      set(typed, at + "y", support.y());
      set(typed, at + "pitch", support.pitch());
      support
          .clockwiseProperty()
          .set(Clockwise.valueOf(typed.getOrDefault(at + "clockwise", "RAISES")));
      made.add(support);
    }
    supports.set(List.copyOf(made));
  }

  private static int count(Map<String, String> typed, String name, int otherwise) {
    return Math.clamp(
        Integer.parseInt(typed.getOrDefault(name, String.valueOf(otherwise))), 2, MOST_PLACES);
  }

  private static void setAll(Map<String, String> typed, String name, List<LengthEntry> entries) {
    for (int i = 0; i < entries.size(); i++) {
      set(typed, name + "." + i, entries.get(i));
    }
  }

  private static void set(Map<String, String> typed, String name, LengthEntry entry) {
    if (typed.containsKey(name)) {
      entry.textProperty().set(typed.get(name));
    }
  }

  /** The feel typed at a place: t, s or g, or the whole word. */
  static Optional<Feel> feel(String typed) {
    String word = typed.strip().toLowerCase(Locale.ROOT);
    return word.isEmpty()
        ? Optional.empty()
        : Stream.of(Feel.values())
            .filter(f -> f.name().toLowerCase(Locale.ROOT).startsWith(word))
            .findFirst();
  }
}
