package zebrawood.desktop.site;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.Practice.Deed;
import zebrawood.devices.site.StandInRoom;
import zebrawood.devices.site.StandInRoom.Fault;
import zebrawood.site.SiteFinding;
import zebrawood.site.SiteReadings;
import zebrawood.site.SiteReadings.Item;
import zebrawood.words.Message;

/** Practice on a simulated room with two hidden faults. */
final class SitePractice extends Practice<SiteModel, StandInRoom, SiteReadings, SiteFinding> {
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

  SitePractice(SiteModel model) {
    super(model);
  }

  @Override
  protected StandInRoom make(long number) {
    Random random = new Random(number);
    EnumSet<Fault> faults = EnumSet.noneOf(Fault.class);
    while (faults.size() < FAULTS) {
      faults.add(Fault.values()[random.nextInt(Fault.values().length)]);
    }
    return new StandInRoom(faults, random.nextLong());
  }

  @Override
  protected void prepare() {
    model.arrival.clearanceNeeded().set(GAP_NEEDED_MM);
  }

  /** Reads the instruments and looks at everything there is to prove. */
  @Override
  protected void read(StandInRoom in) {
    in.run(MINUTES, HEAT_W);
    model.feed.earth().set(in.readEarthOhm());
    List<QuantityField> read = model.arrival.room();
    read.get(0).set(in.readRoomC());
    read.get(1).set(in.readHumidityPercent());
    read.get(2).set(in.readGapMm());
    model.proofs.forEach((item, proof) -> {
      Fault fault = FAULT_OF.get(item);
      proof.set(fault == null || in.inOrder(fault));
    });
    // What the stand-in has no fault for reads as the data sheet asks.
    asAsked(model.breathing.leastBar(), model.breathing.bar());
    asAsked(model.feed.fusePlate(), model.feed.fuseFitted());
    if (!model.arrival.fibre().isEmpty()) {
      asAsked(model.arrival.fibre().get(1), model.arrival.fibre().get(0));
    }
  }

  private static void asAsked(QuantityField asked, QuantityField read) {
    asked.value().ifPresent(read::set);
  }

  /** Mends what failed: the electrician comes, the machine is moved from the wall. */
  @Override
  protected void obey(StandInRoom in, Outcome.Solved<SiteReadings, SiteFinding> solved) {
    solved.readings().proofs().stream()
        .filter(p -> !p.passed() && FAULT_OF.containsKey(p.item()))
        .forEach(p -> in.mend(FAULT_OF.get(p.item())));
    if (model.feed.earth().number() > model.feed.earthLimit().number()) {
      in.mend(Fault.EARTH_OPEN);
    }
    if (model.arrival.room().get(2).number() < GAP_NEEDED_MM) {
      in.mend(Fault.CLOSE_TO_WALL);
    }
    model.form().clearReadings();
  }

  @Override
  protected Message stands(StandInRoom on) {
    return left(on.faultsLeft().size());
  }

  @Override
  protected Message best(StandInRoom on) {
    return mendedAtOnce(on.faultsLeft().size());
  }

  @Override
  protected List<Deed<StandInRoom>> deeds() {
    return Stream.of(Fault.values())
        .map(
            f -> Deed.<StandInRoom>of(Message.of("site.practice.mend." + key(f)), on -> on.mend(f)))
        .toList();
  }

  private static String key(Fault fault) {
    return fault.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
  }
}
