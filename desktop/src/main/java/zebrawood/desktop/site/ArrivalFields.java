package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.fields.WordsEntry;
import zebrawood.desktop.sheet.AnsweredModel;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;
import zebrawood.site.Arrival;
import zebrawood.site.PackingList;
import zebrawood.site.Room;
import zebrawood.site.WayIn;
import zebrawood.site.WayIn.Box;
import zebrawood.site.WayIn.Passage;
import zebrawood.site.Weight;

/** The room, the way in, the weight and the parts, as typed. */
final class ArrivalFields {
  private static final int PASSAGES = 5;

  private final NumberEntry roomC;
  private final NumberEntry humidity;
  private final NumberEntry clearance;
  private final NumberEntry leastC;
  private final NumberEntry mostC;
  private final NumberEntry mostHumidity;
  private final NumberEntry clearanceNeeded;
  private final List<NumberEntry> bare;
  private final List<NumberEntry> crate;
  private final List<List<NumberEntry>> passages = new ArrayList<>();
  private final List<ObjectProperty<WayIn.Kind>> kinds = new ArrayList<>();
  private final NumberEntry mass;
  private final NumberEntry feet;
  private final NumberEntry footArea;
  private final NumberEntry floor;
  private final NumberEntry oneLifts;
  private final WordsEntry parts;
  private final NumberEntry bend;
  private final NumberEntry leastBend;
  private final boolean fibre;

  ArrivalFields(AnsweredModel<?> sheet, Machine machine) {
    String reading = EntryDesk.READING;
    roomC = sheet.keep(reading + "room", new NumberEntry("Room", "°C", -40, 60));
    humidity = sheet.keep(reading + "humidity", new NumberEntry("Humidity", "%", 0, 100));
    clearance =
        sheet.keep(reading + "clearance", new NumberEntry("Narrowest gap", "mm", 0, 100_000));
    leastC = sheet.keep("leastC", new NumberEntry("Room at least", "°C", -40, 60));
    mostC = sheet.keep("mostC", new NumberEntry("Room at most", "°C", -40, 60));
    mostHumidity = sheet.keep("mostHumidity", new NumberEntry("Humidity at most", "%", 0, 100));
    clearanceNeeded = sheet.keep("clearanceNeeded", new NumberEntry("Gap needed", "mm", 0, 10_000));
    bare = box(sheet, "bare", "Machine");
    crate = box(sheet, "crate", "Crate");
    for (int i = 1; i <= PASSAGES; i++) {
      passages.add(
          List.of(
              sheet.keep(
                  "way." + i + ".first", new NumberEntry("Way " + i + ", first", "", 1, 20_000)),
              sheet.keep(
                  "way." + i + ".second",
                  new NumberEntry("Way " + i + ", second", "", 1, 20_000))));
      kinds.add(sheet.choose("way." + i + ".kind", WayIn.Kind.class, WayIn.Kind.DOOR));
    }
    mass = sheet.keep("mass", new NumberEntry("Mass", "kg", 0.1, 100_000));
    feet = sheet.keep("feet", new NumberEntry("Feet", "", 3, 40));
    footArea = sheet.keep("footArea", new NumberEntry("One foot stands on", "cm²", 0.1, 100_000));
    floor = sheet.keep("floor", new NumberEntry("Floor carries", "kg/m²", 1, 100_000));
    oneLifts = sheet.keep("oneLifts", new NumberEntry("One person lifts", "kg", 1, 60));
    parts = sheet.keep("parts", new WordsEntry("Packing list", PackingList::parse));
    bend = sheet.keep(reading + "bend", new NumberEntry("Tightest fibre bend", "mm", 1, 10_000));
    leastBend = sheet.keep("leastBend", new NumberEntry("Radius at least", "mm", 1, 10_000));
    fibre =
        machine.source().kind() == SourceKind.FIBRE
            || machine.source().kind() == SourceKind.MOPA_FIBRE;
    leastC.set(10);
    mostC.set(35);
    clearanceNeeded.set(0);
    feet.set(4);
    oneLifts.set(25);
  }

  private static List<NumberEntry> box(AnsweredModel<?> sheet, String key, String name) {
    return Stream.of("length", "width", "height")
        .map(side ->
            sheet.keep(key + "." + side, new NumberEntry(name + " " + side, "mm", 1, 20_000)))
        .toList();
  }

  List<NumberEntry> room() {
    return List.of(roomC, humidity, clearance);
  }

  List<NumberEntry> roomLimits() {
    return List.of(leastC, mostC, mostHumidity, clearanceNeeded);
  }

  /** Machine, then crate: length, width, height. */
  List<List<NumberEntry>> boxes() {
    return List.of(bare, crate);
  }

  List<List<NumberEntry>> passages() {
    return passages;
  }

  ObjectProperty<WayIn.Kind> kind(int passage) {
    return kinds.get(passage);
  }

  List<NumberEntry> weight() {
    return List.of(mass, feet, footArea, floor, oneLifts);
  }

  WordsEntry parts() {
    return parts;
  }

  /** Empty on machines without a fibre cable. */
  List<NumberEntry> fibre() {
    return fibre ? List.of(bend, leastBend) : List.of();
  }

  private boolean roomRead() {
    return NumberEntry.begun(room());
  }

  private boolean goesIn() {
    return passages.stream().anyMatch(NumberEntry::begun);
  }

  /** What must be there for what is begun. */
  Stream<NumberEntry> needed() {
    Stream<NumberEntry> needed = Stream.empty();
    if (roomRead()) {
      needed = Stream.of(roomC, humidity, leastC, mostC, clearanceNeeded);
    }
    if (goesIn()) {
      needed = Stream.concat(needed, bare.stream());
      needed =
          Stream.concat(needed, passages.stream().filter(NumberEntry::begun).flatMap(List::stream));
    }
    if (NumberEntry.begun(crate)) {
      needed = Stream.concat(needed, crate.stream());
    }
    if (!mass.isEmpty()) {
      needed = Stream.concat(needed, Stream.of(bare.get(0), bare.get(1), feet, oneLifts));
    }
    return needed;
  }

  Arrival readings() {
    return new Arrival(
        roomRead() ? Optional.of(roomReadings()) : Optional.empty(),
        goesIn() ? Optional.of(wayIn()) : Optional.empty(),
        mass.isEmpty() ? Optional.empty() : Optional.of(weightReadings()),
        parts.isEmpty() ? Optional.empty() : Optional.of(PackingList.parse(parts.text())),
        fibre ? bend.value() : OptionalDouble.empty(),
        fibre ? leastBend.value() : OptionalDouble.empty());
  }

  private Room.Readings roomReadings() {
    return new Room.Readings(
        roomC.number(),
        humidity.number(),
        leastC.number(),
        mostC.number(),
        mostHumidity.value(),
        clearance.value(),
        clearanceNeeded.number());
  }

  private WayIn.Readings wayIn() {
    List<Passage> way = new ArrayList<>();
    for (int i = 0; i < PASSAGES; i++) {
      List<NumberEntry> row = passages.get(i);
      if (NumberEntry.begun(row)) {
        way.add(new Passage(kinds.get(i).get(), row.get(0).number(), row.get(1).number()));
      }
    }
    return new WayIn.Readings(
        NumberEntry.begun(crate) ? Optional.of(box(crate)) : Optional.empty(), box(bare), way);
  }

  private static Box box(List<NumberEntry> sides) {
    return new Box(sides.get(0).number(), sides.get(1).number(), sides.get(2).number());
  }

  private Weight.Readings weightReadings() {
    return new Weight.Readings(
        mass.number(),
        (int) Math.round(feet.number()),
        footArea.value(),
        bare.get(0).number(),
        bare.get(1).number(),
        floor.value(),
        oneLifts.number());
  }
}
