package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.machine.Machine;
import zebrawood.machine.SourceKind;
import zebrawood.quantity.Quantity;
import zebrawood.site.Arrival;
import zebrawood.site.PackingList;
import zebrawood.site.Room;
import zebrawood.site.WayIn;
import zebrawood.site.WayIn.Box;
import zebrawood.site.WayIn.Passage;
import zebrawood.site.Weight;
import zebrawood.words.Message;

/** The room, the way in, the weight and the parts, as typed. */
final class ArrivalFields {
  private static final int MOST_PASSAGES = 20;
  private static final double LONGEST_MM = 20_000;

  /** A door, a corner or steps. */
  private record Way(QuantityField first, QuantityField second, ChoiceField<WayIn.Kind> kind) {}

  private final QuantityField room;
  private final QuantityField humidity;
  private final QuantityField clearance;
  private final QuantityField leastC;
  private final QuantityField mostC;
  private final QuantityField mostHumidity;
  private final QuantityField leastHumidity;
  private final QuantityField clearanceNeeded;
  private final List<QuantityField> bare;
  private final List<QuantityField> crate;
  private final Group<Way> ways;
  private final QuantityField mass;
  private final QuantityField feet;
  private final QuantityField footArea;
  private final QuantityField floor;
  private final QuantityField oneLifts;
  private final WordsField parts;
  private final QuantityField bend;
  private final QuantityField leastBend;
  private final boolean fibre;

  ArrivalFields(StationForm form, Machine machine) {
    room = form.quantity("reading.room", Quantity.TEMPERATURE, -40, 60);
    humidity = form.quantity("reading.humidity", Quantity.PERCENT, 0, 100);
    clearance = form.quantity("reading.clearance", Quantity.LENGTH, 0, 100_000);
    leastC = form.quantity("leastC", Quantity.TEMPERATURE, -40, 60);
    mostC = form.quantity("mostC", Quantity.TEMPERATURE, -40, 60);
    mostHumidity = form.quantity("mostHumidity", Quantity.PERCENT, 0, 100);
    leastHumidity = form.quantity("leastHumidity", Quantity.PERCENT, 0, 100);
    clearanceNeeded = form.quantity("clearanceNeeded", Quantity.LENGTH, 0, 10_000);
    bare = sides(form, "bare");
    crate = sides(form, "crate");
    ways = form.group("way", 3, MOST_PASSAGES, i -> way(form, i));
    mass = form.quantity("mass", Quantity.MASS, 0.1, 100_000);
    feet = form.quantity("feet", Quantity.NUMBER, 3, 40);
    footArea = form.quantity("footArea", Quantity.AREA, 0.1, 100_000);
    floor = form.quantity("floor", Quantity.FLOOR_LOAD, 1, 100_000);
    oneLifts = form.quantity("oneLifts", Quantity.MASS, 1, 60);
    parts = form.words("parts", PackingList::parse);
    bend = form.quantity("reading.bend", Quantity.LENGTH, 1, 10_000);
    leastBend = form.quantity("leastBend", Quantity.LENGTH, 1, 10_000);
    fibre =
        machine.source().kind() == SourceKind.FIBRE
            || machine.source().kind() == SourceKind.MOPA_FIBRE;
    leastC.set(10);
    mostC.set(35);
    clearanceNeeded.set(0);
    feet.set(4);
    oneLifts.set(25);
  }

  private static List<QuantityField> sides(StationForm form, String what) {
    return Stream.of("length", "width", "height")
        .map(side -> form.quantity(what + "." + side, Quantity.LENGTH, 1, LONGEST_MM))
        .toList();
  }

  /** Of steps the second one is a count: what is typed there is then no length. */
  private static Way way(StationForm form, int i) {
    QuantityField first =
        form.quantity(
            "way." + i + ".first",
            Message.of("site.field.way-first", i),
            Quantity.LENGTH,
            1,
            LONGEST_MM);
    QuantityField second =
        form.quantity(
            "way." + i + ".second",
            Message.of("site.field.way-second", i),
            Quantity.LENGTH,
            1,
            LONGEST_MM);
    ChoiceField<WayIn.Kind> kind =
        form.choice(
            "way." + i + ".kind",
            Message.of("site.field.way-kind", i),
            List.of(WayIn.Kind.values()),
            WayIn.Kind.DOOR);
    kind.valueProperty()
        .subscribe(k -> {
          if (k == WayIn.Kind.STEPS) {
            second.readAs(typed ->
                typed.strip().matches("[1-9]\\d{0,2}")
                    ? Optional.empty()
                    : Optional.of(Message.of("site.problem.steps", i)));
          } else {
            second.readAsNumber(1);
          }
        });
    return new Way(first, second, kind);
  }

  List<QuantityField> room() {
    return List.of(room, humidity, clearance);
  }

  QuantityField clearanceNeeded() {
    return clearanceNeeded;
  }

  /** Tightest bend and least one; empty on machines without a fibre cable. */
  List<QuantityField> fibre() {
    return fibre ? List.of(bend, leastBend) : List.of();
  }

  List<Part> roomAndWay() {
    return List.of(
        Part.fold(
            "site.room",
            new Part.Rows(room()),
            Part.hint("site.room.limits"),
            Part.rows(leastC, mostC, leastHumidity, mostHumidity, clearanceNeeded)),
        Part.fold(
            "site.way",
            new Part.Table(
                List.of(
                    Message.NONE,
                    Message.of("site.long"),
                    Message.of("site.wide"),
                    Message.of("site.high")),
                List.of(
                    new Part.TableRow(Message.of("site.bare"), bare),
                    new Part.TableRow(Message.of("site.crate"), crate))),
            Part.hint("site.way.hint"),
            new Part.GrowingRows(
                ways,
                List.of(Message.of("site.way.first"), Message.of("site.way.second")),
                Message.of("site.way.another")),
            Part.rows(mass, feet, footArea, floor, oneLifts)));
  }

  Part unpacked() {
    List<Part> all =
        new ArrayList<>(
            List.of(
                Part.hint("site.parts.hint"),
                new Part.Area(parts, 5, Message.of("site.parts.prompt"))));
    if (fibre) {
      all.add(new Part.Rows(fibre()));
    }
    return new Part.Fold("site-parts-fold", Message.of("site.parts"), all);
  }

  private boolean roomRead() {
    return QuantityField.begun(room());
  }

  /** What must be there for what is begun. */
  Stream<Field> needed() {
    Stream<Field> needed = Stream.empty();
    if (roomRead()) {
      needed = Stream.of(room, humidity, leastC, mostC, clearanceNeeded);
    }
    if (!ways.begun().isEmpty()) {
      needed = Stream.concat(needed, bare.stream());
      needed = Stream.concat(needed, ways.fieldsBegun().stream());
    }
    if (QuantityField.begun(crate)) {
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
        ways.begun().isEmpty() ? Optional.empty() : Optional.of(wayIn()),
        mass.isEmpty() ? Optional.empty() : Optional.of(weight()),
        parts.isEmpty() ? Optional.empty() : Optional.of(PackingList.parse(parts.text())),
        fibre ? bend.value() : OptionalDouble.empty(),
        fibre ? leastBend.value() : OptionalDouble.empty());
  }

  private Room.Readings roomReadings() {
    return new Room.Readings(
        room.number(),
        humidity.number(),
        leastC.number(),
        mostC.number(),
        mostHumidity.value(),
        clearance.value(),
        clearanceNeeded.number(),
        leastHumidity.value());
  }

  private WayIn.Readings wayIn() {
    return new WayIn.Readings(
        QuantityField.begun(crate) ? Optional.of(box(crate)) : Optional.empty(),
        box(bare),
        ways.begun().stream()
            .map(w ->
                new Passage(
                    w.kind.get(),
                    w.first.number(),
                    w.kind.get() == WayIn.Kind.STEPS
                        ? Double.parseDouble(w.second.text().strip())
                        : w.second.number()))
            .toList());
  }

  private static Box box(List<QuantityField> sides) {
    return new Box(sides.get(0).number(), sides.get(1).number(), sides.get(2).number());
  }

  private Weight.Readings weight() {
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
