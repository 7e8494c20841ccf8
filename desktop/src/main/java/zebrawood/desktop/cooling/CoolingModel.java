package zebrawood.desktop.cooling;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.AnsweredModel;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.Proven;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.site.Air;
import zebrawood.site.Bucket;
import zebrawood.site.Chiller;
import zebrawood.site.Coldest;
import zebrawood.site.Coldest.Glycol;
import zebrawood.site.Coolant;
import zebrawood.site.Cooling;
import zebrawood.site.CoolingReadings;
import zebrawood.site.CoolingReadings.Item;
import zebrawood.site.CoolingReadings.Proof;

/** What is typed on the cooling sheet and what follows from it. Knows no scene. */
public final class CoolingModel extends AnsweredModel<Item> {
  /**
   * Heat into the water for each watt of light at full power: a tube turns an eighth into light.
   */
  private static final double HEAT_PER_WATT = 7;

  /** Half of the time the beam is on. */
  private static final double USUAL_DUTY = 0.5;

  private final NumberEntry roomC = reading("room", "Room", "°C", -40, 60);
  private final NumberEntry humidity = reading("humidity", "Humidity", "%", 0, 100);
  private final NumberEntry coolantC = reading("coolant", "Coolant at start", "°C", -40, 100);
  private final NumberEntry afterHourC = reading("afterHour", "After an hour", "°C", -40, 100);
  private final NumberEntry conductivity =
      reading("conductivity", "Conductivity", "µS/cm", 0, 100_000);
  private final NumberEntry limitC = keep("limit", new NumberEntry("Warmest allowed", "°C", 5, 60));
  private final NumberEntry setPointC = reading("setPoint", "Chiller is set to", "°C", -40, 60);
  private final NumberEntry heatW =
      keep("heat", new NumberEntry("Heat at this duty", "W", 0, 100_000));
  private final NumberEntry litres =
      keep("litres", new NumberEntry("Water in all", "l", 0.1, 10_000));
  private final NumberEntry lossWPerK =
      keep("loss", new NumberEntry("Lost to the air", "W/K", 0, 10_000));
  private final NumberEntry fromC = reading("from", "Pull-down from", "°C", -40, 100);
  private final NumberEntry toC = reading("to", "Pull-down to", "°C", -40, 100);
  private final NumberEntry minutes = reading("minutes", "Pull-down took", "min", 0.1, 10_000);
  private final NumberEntry coldestC =
      keep("coldest", new NumberEntry("Coldest night", "°C", -48, 60));
  private final ObjectProperty<CoolingWay> way =
      choose("way", CoolingWay.class, CoolingWay.CHILLER);
  private final ObjectProperty<Coolant> coolant =
      choose("coolant", Coolant.class, Coolant.DISTILLED);
  private final ObjectProperty<Glycol> glycol = choose("glycol", Glycol.class, Glycol.PROPYLENE);
  private final ReadOnlyObjectWrapper<CoolingOutcome> outcome =
      new ReadOnlyObjectWrapper<>(new CoolingOutcome.Waiting(""));

  private final boolean flowSwitch;

  public CoolingModel(Machine machine) {
    super(AnsweredModel::nameOf);
    flowSwitch = machine.has(Fitting.FLOW_SWITCH);
    limitC.set(28);
    heatW.set(Math.round(machine.source().watts() * HEAT_PER_WATT * USUAL_DUTY));
    litres.set(20);
    lossWPerK.set(6);
    way.set(machine.has(Fitting.CHILLER) ? CoolingWay.CHILLER : CoolingWay.BUCKET);
    for (Item item : Item.values()) {
      if (item != Item.FLOW_INTERLOCK || flowSwitch) {
        ask(item);
      }
    }
    begin();
  }

  private NumberEntry reading(String name, String words, String unit, double least, double most) {
    return keep(EntryDesk.READING + name, new NumberEntry(words, unit, least, most));
  }

  /** What is read at every visit, in the order it is read. */
  public List<NumberEntry> atEveryVisit() {
    return List.of(roomC, humidity, coolantC);
  }

  /** What is read when there is time for it. */
  public List<NumberEntry> atSomeVisits() {
    return List.of(afterHourC, conductivity);
  }

  /** What stays as it is from visit to visit. */
  public List<NumberEntry> settings() {
    return way.get() == CoolingWay.BUCKET
        ? List.of(limitC, litres, heatW, lossWPerK)
        : List.of(limitC, litres, heatW);
  }

  public NumberEntry setPoint() {
    return setPointC;
  }

  public List<NumberEntry> pullDown() {
    return List.of(fromC, toC, minutes);
  }

  public NumberEntry coldest() {
    return coldestC;
  }

  public ObjectProperty<CoolingWay> wayProperty() {
    return way;
  }

  public ObjectProperty<Coolant> coolantProperty() {
    return coolant;
  }

  public ObjectProperty<Glycol> glycolProperty() {
    return glycol;
  }

  public ReadOnlyObjectProperty<CoolingOutcome> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  private List<NumberEntry> used() {
    List<NumberEntry> used = new ArrayList<>(atEveryVisit());
    used.addAll(atSomeVisits());
    used.addAll(settings());
    if (way.get() == CoolingWay.CHILLER) {
      used.addAll(pullDown());
      used.add(setPointC);
    }
    used.add(coldestC);
    return used;
  }

  @Override
  protected void solve() {
    outcome.set(outcome());
  }

  private CoolingOutcome outcome() {
    Optional<String> problem = firstProblem(used().stream());
    if (problem.isPresent()) {
      return new CoolingOutcome.Refused(problem.get());
    }
    List<NumberEntry> needed = new ArrayList<>(atEveryVisit());
    needed.addAll(settings());
    if (way.get() == CoolingWay.CHILLER && pullDown().stream().anyMatch(e -> !e.isEmpty())) {
      needed.addAll(pullDown());
    }
    Optional<NumberEntry> missing = needed.stream().filter(NumberEntry::isEmpty).findFirst();
    if (missing.isPresent()) {
      return new CoolingOutcome.Waiting(missing.get().name());
    }
    try {
      CoolingReadings readings = readings();
      return new CoolingOutcome.Found(readings, Cooling.solve(readings));
    } catch (UnusableReading e) {
      var first = e.complaints().getFirst();
      return new CoolingOutcome.Refused(
          "%s is %s. Accepted is %s.".formatted(first.field(), first.found(), first.accepted()));
    }
  }

  private CoolingReadings readings() {
    Optional<Bucket.Readings> bucket =
        way.get() == CoolingWay.BUCKET
            ? Optional.of(
                new Bucket.Readings(
                    litres.number(),
                    coolantC.number(),
                    limitC.number(),
                    roomC.number(),
                    heatW.number(),
                    lossWPerK.number()))
            : Optional.empty();
    Optional<Chiller.Readings> chiller =
        way.get() == CoolingWay.CHILLER && !fromC.isEmpty()
            ? Optional.of(
                new Chiller.Readings(
                    litres.number(),
                    fromC.number(),
                    toC.number(),
                    minutes.number(),
                    heatW.number()))
            : Optional.empty();
    Optional<Coldest.Readings> coldest =
        coldestC.isEmpty()
            ? Optional.empty()
            : Optional.of(new Coldest.Readings(coldestC.number(), glycol.get(), litres.number()));
    List<Proof> made = new ArrayList<>();
    proofs()
        .forEach((item, proven) -> {
          if (proven.get() != Proven.NOT_YET) {
            made.add(new Proof(item, proven.get() == Proven.YES));
          }
        });
    return new CoolingReadings(
        new Air.Readings(roomC.number(), humidity.number(), coolantC.number()),
        limitC.number(),
        afterHourC.value(),
        conductivity.value(),
        coolant.get(),
        bucket,
        chiller,
        way.get() == CoolingWay.CHILLER ? setPointC.value() : OptionalDouble.empty(),
        coldest,
        flowSwitch,
        made);
  }
}
