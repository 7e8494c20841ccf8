package zebrawood.desktop.cooling;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.Proven;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.site.Air;
import zebrawood.site.Bucket;
import zebrawood.site.Chiller;
import zebrawood.site.Coldest;
import zebrawood.site.Coldest.Glycol;
import zebrawood.site.Cooling;
import zebrawood.site.CoolingReadings;
import zebrawood.site.CoolingReadings.Item;
import zebrawood.site.CoolingReadings.Proof;

/** What is typed on the cooling sheet and what follows from it. Knows no scene. */
public final class CoolingModel implements EntryDesk.Typed {
  /**
   * Heat into the water for each watt of light at full power: a tube turns an eighth into light.
   */
  private static final double HEAT_PER_WATT = 7;

  /** Half of the time the beam is on. */
  private static final double USUAL_DUTY = 0.5;

  private final NumberEntry roomC = new NumberEntry("Room", "°C", -40, 60);
  private final NumberEntry humidity = new NumberEntry("Humidity", "%", 0, 100);
  private final NumberEntry coolantC = new NumberEntry("Coolant at start", "°C", -40, 100);
  private final NumberEntry afterHourC = new NumberEntry("After an hour", "°C", -40, 100);
  private final NumberEntry conductivity = new NumberEntry("Conductivity", "µS/cm", 0, 100_000);
  private final NumberEntry limitC = new NumberEntry("Warmest allowed", "°C", 5, 60);
  private final NumberEntry heatW = new NumberEntry("Heat at this duty", "W", 0, 100_000);
  private final NumberEntry litres = new NumberEntry("Water in all", "l", 0.1, 10_000);
  private final NumberEntry lossWPerK = new NumberEntry("Lost to the air", "W/K", 0, 10_000);
  private final NumberEntry fromC = new NumberEntry("Pull-down from", "°C", -40, 100);
  private final NumberEntry toC = new NumberEntry("Pull-down to", "°C", -40, 100);
  private final NumberEntry minutes = new NumberEntry("Pull-down took", "min", 0.1, 10_000);
  private final NumberEntry coldestC = new NumberEntry("Coldest night", "°C", -48, 60);
  private final ObjectProperty<CoolingWay> way = new SimpleObjectProperty<>(CoolingWay.CHILLER);
  private final ObjectProperty<Glycol> glycol = new SimpleObjectProperty<>(Glycol.PROPYLENE);
  private final Map<Item, ObjectProperty<Proven>> proofs = new EnumMap<>(Item.class);
  private final ReadOnlyObjectWrapper<CoolingOutcome> outcome =
      new ReadOnlyObjectWrapper<>(new CoolingOutcome.Waiting(""));
  private Consumer<Map<String, String>> onTyped = typed -> {};
  private boolean quiet;

  public CoolingModel(Machine machine) {
    limitC.set(28);
    heatW.set(Math.round(machine.source().watts() * HEAT_PER_WATT * USUAL_DUTY));
    litres.set(20);
    lossWPerK.set(6);
    for (Item item : Item.values()) {
      ObjectProperty<Proven> proven = new SimpleObjectProperty<>(Proven.NOT_YET);
      proven.subscribe((before, now) -> changed());
      proofs.put(item, proven);
    }
    for (NumberEntry entry : entries().values()) {
      entry.textProperty().subscribe((before, now) -> changed());
    }
    way.subscribe((before, now) -> changed());
    glycol.subscribe((before, now) -> changed());
    changed();
  }

  /** Every number by the name it is kept under, readings first. */
  private Map<String, NumberEntry> entries() {
    Map<String, NumberEntry> entries = new LinkedHashMap<>();
    entries.put(EntryDesk.READING + "room", roomC);
    entries.put(EntryDesk.READING + "humidity", humidity);
    entries.put(EntryDesk.READING + "coolant", coolantC);
    entries.put(EntryDesk.READING + "afterHour", afterHourC);
    entries.put(EntryDesk.READING + "conductivity", conductivity);
    entries.put("limit", limitC);
    entries.put("heat", heatW);
    entries.put("litres", litres);
    entries.put("loss", lossWPerK);
    entries.put(EntryDesk.READING + "from", fromC);
    entries.put(EntryDesk.READING + "to", toC);
    entries.put(EntryDesk.READING + "minutes", minutes);
    entries.put("coldest", coldestC);
    return entries;
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

  public List<NumberEntry> pullDown() {
    return List.of(fromC, toC, minutes);
  }

  public NumberEntry coldest() {
    return coldestC;
  }

  public ObjectProperty<CoolingWay> wayProperty() {
    return way;
  }

  public ObjectProperty<Glycol> glycolProperty() {
    return glycol;
  }

  public ObjectProperty<Proven> provenProperty(Item item) {
    return proofs.get(item);
  }

  public ReadOnlyObjectProperty<CoolingOutcome> outcomeProperty() {
    return outcome.getReadOnlyProperty();
  }

  /** Called with every field's text whenever one changes. */
  public void setOnTyped(Consumer<Map<String, String>> use) {
    onTyped = use;
  }

  private void changed() {
    if (!quiet) {
      outcome.set(solve());
      onTyped.accept(typed());
    }
  }

  private List<NumberEntry> used() {
    List<NumberEntry> used = new ArrayList<>(atEveryVisit());
    used.addAll(atSomeVisits());
    used.addAll(settings());
    if (way.get() == CoolingWay.CHILLER) {
      used.addAll(pullDown());
    }
    used.add(coldestC);
    return used;
  }

  private CoolingOutcome solve() {
    Optional<String> problem =
        used().stream().map(e -> e.problemProperty().get()).filter(p -> !p.isEmpty()).findFirst();
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
                    value(litres),
                    value(coolantC),
                    value(limitC),
                    value(roomC),
                    value(heatW),
                    value(lossWPerK)))
            : Optional.empty();
    Optional<Chiller.Readings> chiller =
        way.get() == CoolingWay.CHILLER && !fromC.isEmpty()
            ? Optional.of(
                new Chiller.Readings(
                    value(litres), value(fromC), value(toC), value(minutes), value(heatW)))
            : Optional.empty();
    Optional<Coldest.Readings> coldest =
        coldestC.isEmpty()
            ? Optional.empty()
            : Optional.of(new Coldest.Readings(value(coldestC), glycol.get(), value(litres)));
    List<Proof> made = new ArrayList<>();
    proofs.forEach((item, proven) -> {
      if (proven.get() != Proven.NOT_YET) {
        made.add(new Proof(item, proven.get() == Proven.YES));
      }
    });
    return new CoolingReadings(
        new Air.Readings(value(roomC), value(humidity), value(coolantC)),
        value(limitC),
        afterHourC.value(),
        conductivity.value(),
        bucket,
        chiller,
        coldest,
        made);
  }

  private static double value(NumberEntry entry) {
    return entry.value().orElseThrow();
  }

  @Override
  public Map<String, String> typed() {
    Map<String, String> typed = new LinkedHashMap<>();
    entries().forEach((key, entry) -> typed.put(key, entry.text()));
    typed.put("way", way.get().name());
    typed.put("glycol", glycol.get().name());
    proofs.forEach((item, proven) -> {
      if (proven.get() != Proven.NOT_YET) {
        typed.put(proofKey(item), proven.get().name());
      }
    });
    return typed;
  }

  private static String proofKey(Item item) {
    return EntryDesk.READING + "proof." + item.name().toLowerCase(Locale.ROOT);
  }

  @Override
  public void type(Map<String, String> typed) {
    if (typed.isEmpty()) {
      return;
    }
    quietly(() -> {
      entries()
          .forEach((key, entry) -> entry.textProperty().set(typed.getOrDefault(key, entry.text())));
      way.set(CoolingWay.valueOf(typed.getOrDefault("way", way.get().name())));
      glycol.set(Glycol.valueOf(typed.getOrDefault("glycol", glycol.get().name())));
      proofs.forEach((item, proven) ->
          proven.set(Proven.valueOf(typed.getOrDefault(proofKey(item), Proven.NOT_YET.name()))));
    });
  }

  @Override
  public void clearReadings() {
    quietly(() -> {
      entries()
          .forEach((key, entry) -> {
            if (key.startsWith(EntryDesk.READING)) {
              entry.textProperty().set("");
            }
          });
      proofs.values().forEach(p -> p.set(Proven.NOT_YET));
    });
  }

  @Override
  public boolean nothingRead() {
    return typed().entrySet().stream()
        .noneMatch(e -> e.getKey().startsWith(EntryDesk.READING) && !e.getValue().isBlank());
  }

  private void quietly(Runnable change) {
    quiet = true;
    try {
      change.run();
    } finally {
      quiet = false;
    }
    changed();
  }
}
