package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.AnsweredModel;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.Proven;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.site.Circuit;
import zebrawood.site.Duct;
import zebrawood.site.Eyewear;
import zebrawood.site.Site;
import zebrawood.site.SiteReadings;
import zebrawood.site.SiteReadings.Answer;
import zebrawood.site.SiteReadings.Item;
import zebrawood.site.SiteReadings.Proof;

/**
 * What is typed on the site sheet and what follows from it. A part counts once anything of it is
 * typed; then all of it is needed. Knows no scene.
 */
public final class SiteModel extends AnsweredModel<Item> {
  private static final int LOADS = 5;
  private static final int PIECES = 3;
  private static final int FAN_POINTS = 4;
  private static final int FILTERS = 2;

  /** The standard's diameter holds 63 % of the power, a data sheet's 86 %. */
  private static final double DATA_SHEET_OVER_STANDARD = Math.sqrt(2);

  private final Machine machine;
  private final NumberEntry earth = new NumberEntry("Earth", "Ω", 0, 10_000_000);
  private final NumberEntry earthLimit = new NumberEntry("Earth at most", "Ω", 0.01, 10);
  private final NumberEntry volts = new NumberEntry("Supply", "V", 12, 1000);
  private final NumberEntry breaker = new NumberEntry("Breaker", "A", 0.1, 1000);
  private final NumberEntry share = new NumberEntry("Of it for hours", "%", 1, 100);
  private final List<NumberEntry> loads = new ArrayList<>();
  private final NumberEntry flow = new NumberEntry("Air asked for", "m³/h", 1, 1_000_000);
  private final List<List<NumberEntry>> pieces = new ArrayList<>();
  private final List<ObjectProperty<DuctWall>> walls = new ArrayList<>();
  private final List<List<NumberEntry>> fan = new ArrayList<>();
  private final NumberEntry beam = new NumberEntry("Beam, 1/e²", "mm", 0.001, 10_000);
  private final NumberEntry exposure = new NumberEntry("Looked into for", "s", 1e-9, 30_000);
  private final List<List<NumberEntry>> filters = new ArrayList<>();
  private final ReadOnlyObjectWrapper<SiteOutcome> outcome =
      new ReadOnlyObjectWrapper<>(new SiteOutcome.Waiting(""));

  public SiteModel(Machine machine) {
    super(Item.class);
    this.machine = machine;
    keep(EntryDesk.READING + "earth", earth);
    keep("earthLimit", earthLimit);
    keep("volts", volts);
    keep("breaker", breaker);
    keep("share", share);
    keep("flow", flow);
    keep("beam", beam);
    keep("exposure", exposure);
    for (int i = 1; i <= LOADS; i++) {
      loads.add(keep("load." + i, new NumberEntry("Load " + i, "W", 0, 1_000_000)));
    }
    for (int i = 1; i <= PIECES; i++) {
      pieces.add(
          List.of(
              keep("bore." + i, new NumberEntry("Bore of piece " + i, "mm", 10, 5000)),
              keep("length." + i, new NumberEntry("Length of piece " + i, "m", 0, 1000)),
              keep("bends." + i, new NumberEntry("Bends of piece " + i, "", 0, 100))));
      walls.add(choose("wall." + i, DuctWall.class, DuctWall.FLEXIBLE));
    }
    for (int i = 1; i <= FAN_POINTS; i++) {
      fan.add(
          List.of(
              keep("fanFlow." + i, new NumberEntry("Blower flow " + i, "m³/h", 0, 1_000_000)),
              keep("fanPa." + i, new NumberEntry("Blower pressure " + i, "Pa", 0, 1_000_000))));
    }
    for (int i = 1; i <= FILTERS; i++) {
      filters.add(
          List.of(
              keep("from." + i, new NumberEntry("Filter " + i + " from", "nm", 100, 1_000_000)),
              keep("to." + i, new NumberEntry("Filter " + i + " to", "nm", 100, 1_000_000)),
              keep("density." + i, new NumberEntry("Filter " + i + " density", "", 0, 20))));
    }
    Stream.of(Item.values()).filter(i -> i.appliesTo(machine.build())).forEach(this::ask);
    earthLimit.set(0.5);
    volts.set(230);
    breaker.set(16);
    share.set(80);
    exposure.set(10);
    begin();
  }

  NumberEntry earth() {
    return earth;
  }

  NumberEntry earthLimit() {
    return earthLimit;
  }

  List<NumberEntry> supply() {
    return List.of(volts, breaker, share);
  }

  List<NumberEntry> loads() {
    return loads;
  }

  NumberEntry flow() {
    return flow;
  }

  List<List<NumberEntry>> pieces() {
    return pieces;
  }

  ObjectProperty<DuctWall> wall(int piece) {
    return walls.get(piece);
  }

  List<List<NumberEntry>> fan() {
    return fan;
  }

  List<NumberEntry> look() {
    return List.of(beam, exposure);
  }

  List<List<NumberEntry>> filters() {
    return filters;
  }

  public ReadOnlyObjectProperty<SiteOutcome> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  @Override
  protected void solve() {
    outcome.set(outcome());
  }

  private SiteOutcome outcome() {
    Optional<String> problem = firstProblem(numbers().stream());
    if (problem.isPresent()) {
      return new SiteOutcome.Refused(problem.get());
    }
    Optional<NumberEntry> missing = needed().filter(NumberEntry::isEmpty).findFirst();
    if (missing.isPresent()) {
      return new SiteOutcome.Waiting(missing.get().name());
    }
    try {
      SiteReadings readings = readings();
      return new SiteOutcome.Found(readings, Site.solve(machine, readings));
    } catch (UnusableReading e) {
      var first = e.complaints().getFirst();
      return new SiteOutcome.Refused(
          "%s is %s. Accepted is %s.".formatted(first.field(), first.found(), first.accepted()));
    }
  }

  /** What a part that is begun needs. */
  private Stream<NumberEntry> needed() {
    Stream<NumberEntry> needed = Stream.of(earthLimit);
    if (begun(loads)) {
      needed = Stream.concat(needed, supply().stream());
    }
    if (pieces.stream().anyMatch(SiteModel::begun)) {
      needed = Stream.concat(needed, Stream.of(flow));
    }
    if (looksIn()) {
      needed = Stream.concat(needed, look().stream());
    }
    Stream<NumberEntry> rows =
        Stream.of(pieces, fan, filters)
            .flatMap(List::stream)
            .filter(SiteModel::begun)
            .flatMap(List::stream);
    return Stream.concat(needed, rows);
  }

  private boolean looksIn() {
    return !beam.isEmpty() || filters.stream().anyMatch(SiteModel::begun);
  }

  private static boolean begun(List<NumberEntry> row) {
    return row.stream().anyMatch(e -> !e.isEmpty());
  }

  private SiteReadings readings() {
    List<Proof> made = new ArrayList<>();
    proofs()
        .forEach((item, proven) ->
            answer(proven.get()).ifPresent(answer -> made.add(new Proof(item, answer))));
    OptionalDouble earthOhm = earth.value();
    return new SiteReadings(earthOhm, value(earthLimit), circuit(), duct(), eyewear(), made);
  }

  private static Optional<Answer> answer(Proven proven) {
    return switch (proven) {
      case NOT_YET -> Optional.empty();
      case YES -> Optional.of(Answer.PASSED);
      case NO -> Optional.of(Answer.FAILED);
      case NOT_FITTED -> Optional.of(Answer.NOT_FITTED);
    };
  }

  private Optional<Circuit.Readings> circuit() {
    if (!begun(loads)) {
      return Optional.empty();
    }
    List<Circuit.Load> drawn =
        loads.stream()
            .filter(e -> !e.isEmpty())
            .map(e -> new Circuit.Load(e.name(), value(e)))
            .toList();
    return Optional.of(
        new Circuit.Readings(value(volts), value(breaker), value(share) / 100, drawn));
  }

  private Optional<Duct.Readings> duct() {
    List<Duct.Piece> run = new ArrayList<>();
    for (int i = 0; i < PIECES; i++) {
      List<NumberEntry> row = pieces.get(i);
      if (begun(row)) {
        run.add(
            new Duct.Piece(
                value(row.get(0)),
                value(row.get(1)),
                value(row.get(2)),
                walls.get(i).get().roughnessMm()));
      }
    }
    if (run.isEmpty()) {
      return Optional.empty();
    }
    List<Duct.FanPoint> curve =
        fan.stream()
            .filter(SiteModel::begun)
            .map(row -> new Duct.FanPoint(value(row.get(0)), value(row.get(1))))
            .toList();
    return Optional.of(
        Duct.Readings.of(
            run, value(flow), curve.isEmpty() ? Optional.empty() : Optional.of(curve)));
  }

  private Optional<Eyewear.Readings> eyewear() {
    if (!looksIn()) {
      return Optional.empty();
    }
    List<Eyewear.Filter> shelf =
        filters.stream()
            .filter(SiteModel::begun)
            .map(row -> new Eyewear.Filter(value(row.get(0)), value(row.get(1)), value(row.get(2))))
            .toList();
    return Optional.of(
        new Eyewear.Readings(
            machine.source().wavelengthNm(),
            machine.source().watts(),
            value(beam) / DATA_SHEET_OVER_STANDARD,
            value(exposure),
            shelf,
            Optional.empty()));
  }
}
