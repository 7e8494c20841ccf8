package zebrawood.desktop.site;

import java.time.Clock;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import javafx.beans.property.ReadOnlyIntegerProperty;
import javafx.beans.property.ReadOnlyIntegerWrapper;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.Practice;
import zebrawood.desktop.sheet.Proven;
import zebrawood.desktop.text.Text;
import zebrawood.devices.site.StandInRoom;
import zebrawood.devices.site.StandInRoom.Fault;
import zebrawood.measure.Verdict;
import zebrawood.site.SiteReadings.Item;

/** Practice on a simulated room with two hidden faults. Nothing of it is recorded. */
final class SitePractice implements Practice {
  private static final int FAULTS = 2;

  /** While the readings are made the machine's parts warm the room. */
  private static final double HEAT_W = 500;

  private static final double MINUTES = 20;
  private static final double GAP_NEEDED_MM = 200;

  private static final Map<Item, Fault> FAULT_OF =
      new EnumMap<>(
          Map.of(
              Item.STRAPS, Fault.STRAP_LEFT,
              Item.CONNECTORS, Fault.CONNECTOR_LOOSE,
              Item.AIR_OFF, Fault.AIR_STUCK_ON,
              Item.EXTINGUISHER, Fault.NO_EXTINGUISHER));

  private final SiteModel model;
  private final Clock clock;
  private final ReadOnlyIntegerWrapper rounds = new ReadOnlyIntegerWrapper(-1);
  private Optional<StandInRoom> room = Optional.empty();

  SitePractice(SiteModel model, Clock clock) {
    this.model = model;
    this.clock = clock;
  }

  @Override
  public ReadOnlyIntegerProperty roundsProperty() {
    return rounds.getReadOnlyProperty();
  }

  void start() {
    Random random = new Random(clock.millis());
    EnumSet<Fault> faults = EnumSet.noneOf(Fault.class);
    while (faults.size() < FAULTS) {
      faults.add(Fault.values()[random.nextInt(Fault.values().length)]);
    }
    start(faults, random.nextLong());
  }

  void start(Set<Fault> faults, long number) {
    room = Optional.of(new StandInRoom(faults, number));
    model.clearReadings();
    model.arrival().roomLimits().getLast().set(GAP_NEEDED_MM);
    rounds.set(0);
  }

  @Override
  public void end() {
    room = Optional.empty();
    rounds.set(-1);
  }

  /** Reads the instruments and looks at everything there is to prove. */
  void readAll() {
    StandInRoom in = room.orElseThrow();
    in.run(MINUTES, HEAT_W);
    model.feed().earth().set(in.readEarthOhm());
    List<NumberEntry> read = model.arrival().room();
    read.get(0).set(in.readRoomC());
    read.get(1).set(in.readHumidityPercent());
    read.get(2).set(in.readGapMm());
    model
        .proofs()
        .forEach((item, proven) -> {
          Fault fault = FAULT_OF.get(item);
          proven.set(fault == null || in.inOrder(fault) ? Proven.YES : Proven.NO);
        });
    // What the stand-in has no fault for reads as the data sheet asks.
    asAsked(model.breathing().air().get(1), model.breathing().air().get(0));
    asAsked(model.feed().fuse().get(0), model.feed().fuse().get(1));
    if (!model.arrival().fibre().isEmpty()) {
      asAsked(model.arrival().fibre().get(1), model.arrival().fibre().get(0));
    }
  }

  private static void asAsked(NumberEntry asked, NumberEntry read) {
    asked.value().ifPresent(read::set);
  }

  /** Mends what failed: the electrician comes, the machine is moved from the wall. */
  void obey(SiteOutcome.Found found) {
    StandInRoom in = room.orElseThrow();
    found.readings().proofs().stream()
        .filter(p -> !p.passed() && FAULT_OF.containsKey(p.item()))
        .forEach(p -> in.mend(FAULT_OF.get(p.item())));
    if (model.feed().earth().number() > model.feed().earthLimit().number()) {
      in.mend(Fault.EARTH_OPEN);
    }
    if (model.arrival().room().get(2).number() < GAP_NEEDED_MM) {
      in.mend(Fault.CLOSE_TO_WALL);
    }
    model.clearReadings();
    rounds.set(rounds.get() + 1);
  }

  @Override
  public String words() {
    if (room.isEmpty()) {
      return "";
    }
    boolean within =
        model.outcomeProperty().get() instanceof SiteOutcome.Found found
            && found.finding().verdict() == Verdict.WITHIN;
    return Text.of(within ? "cooling.practice.done" : "practice.rounds", rounds.get());
  }
}
