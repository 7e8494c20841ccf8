package zebrawood.desktop.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.beans.property.ObjectProperty;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.sheet.AnsweredModel;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.site.Breathing;
import zebrawood.site.Breathing.AirAssist;
import zebrawood.site.Breathing.AirSource;
import zebrawood.site.Breathing.BlowerAt;
import zebrawood.site.Breathing.Outlet;
import zebrawood.site.Duct;

/** Exhaust and air assist, as typed. */
final class BreathingFields {
  private static final int PIECES = 3;
  private static final int FITTINGS = 3;
  private static final int FAN_POINTS = 4;

  private final NumberEntry flow;
  private final List<List<NumberEntry>> pieces = new ArrayList<>();
  private final List<ObjectProperty<DuctWall>> walls = new ArrayList<>();
  private final List<NumberEntry> fittings = new ArrayList<>();
  private final List<ObjectProperty<Duct.FittingKind>> fittingKinds = new ArrayList<>();
  private final List<List<NumberEntry>> fan = new ArrayList<>();
  private final ObjectProperty<BlowerAt> blowerAt;
  private final ObjectProperty<Outlet> outlet;
  private final ObjectProperty<AirSource> airSource;
  private final NumberEntry bar;
  private final NumberEntry leastBar;
  private final boolean airAssist;

  BreathingFields(AnsweredModel<?> sheet, Machine machine) {
    flow = sheet.keep("flow", new NumberEntry("Air asked for", "m³/h", 1, 1_000_000));
    for (int i = 1; i <= PIECES; i++) {
      pieces.add(
          List.of(
              sheet.keep("bore." + i, new NumberEntry("Bore of piece " + i, "mm", 10, 5000)),
              sheet.keep("length." + i, new NumberEntry("Length of piece " + i, "m", 0, 1000)),
              sheet.keep("bends." + i, new NumberEntry("Bends of piece " + i, "", 0, 100))));
      walls.add(sheet.choose("wall." + i, DuctWall.class, DuctWall.FLEXIBLE));
    }
    for (int i = 1; i <= FITTINGS; i++) {
      fittings.add(
          sheet.keep("fitting." + i, new NumberEntry("Bore of fitting " + i, "mm", 10, 5000)));
      fittingKinds.add(
          sheet.choose("fittingKind." + i, Duct.FittingKind.class, Duct.FittingKind.FLANGED_PORT));
    }
    for (int i = 1; i <= FAN_POINTS; i++) {
      fan.add(
          List.of(
              sheet.keep("fanFlow." + i, new NumberEntry("Blower flow " + i, "m³/h", 0, 1_000_000)),
              sheet.keep(
                  "fanPa." + i, new NumberEntry("Blower pressure " + i, "Pa", 0, 1_000_000))));
    }
    blowerAt = sheet.choose("blowerAt", BlowerAt.class, BlowerAt.OUTLET);
    outlet = sheet.choose("outlet", Outlet.class, Outlet.OUTDOORS);
    airSource = sheet.choose("airSource", AirSource.class, AirSource.PUMP);
    bar = sheet.keep(EntryDesk.READING + "bar", new NumberEntry("Air at the gauge", "bar", 0, 40));
    leastBar = sheet.keep("leastBar", new NumberEntry("Air asked for at least", "bar", 0, 40));
    airAssist = machine.has(Fitting.AIR_ASSIST);
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

  List<NumberEntry> fittings() {
    return fittings;
  }

  ObjectProperty<Duct.FittingKind> fittingKind(int fitting) {
    return fittingKinds.get(fitting);
  }

  List<List<NumberEntry>> fan() {
    return fan;
  }

  ObjectProperty<BlowerAt> blowerAtProperty() {
    return blowerAt;
  }

  ObjectProperty<Outlet> outletProperty() {
    return outlet;
  }

  boolean hasAirAssist() {
    return airAssist;
  }

  ObjectProperty<AirSource> airSourceProperty() {
    return airSource;
  }

  List<NumberEntry> air() {
    return List.of(bar, leastBar);
  }

  private boolean ducted() {
    return pieces.stream().anyMatch(NumberEntry::begun);
  }

  Stream<NumberEntry> needed() {
    Stream<NumberEntry> rows =
        Stream.of(pieces, fan)
            .flatMap(List::stream)
            .filter(NumberEntry::begun)
            .flatMap(List::stream);
    boolean fitted = NumberEntry.begun(fittings) || fan.stream().anyMatch(NumberEntry::begun);
    return Stream.concat(
        ducted() || fitted
            ? Stream.concat(Stream.of(flow), pieces.getFirst().stream())
            : Stream.empty(),
        rows);
  }

  Breathing readings() {
    return new Breathing(
        duct(),
        blowerAt.get(),
        outlet.get(),
        airAssist
            ? Optional.of(new AirAssist(airSource.get(), bar.value(), leastBar.value()))
            : Optional.empty());
  }

  private Optional<Duct.Readings> duct() {
    if (!ducted()) {
      return Optional.empty();
    }
    List<Duct.Piece> run = new ArrayList<>();
    for (int i = 0; i < PIECES; i++) {
      List<NumberEntry> row = pieces.get(i);
      if (NumberEntry.begun(row)) {
        run.add(
            new Duct.Piece(
                row.get(0).number(),
                row.get(1).number(),
                row.get(2).number(),
                walls.get(i).get().roughnessMm()));
      }
    }
    List<Duct.Fitting> fitted = new ArrayList<>();
    for (int i = 0; i < FITTINGS; i++) {
      if (!fittings.get(i).isEmpty()) {
        fitted.add(new Duct.Fitting(fittingKinds.get(i).get(), fittings.get(i).number()));
      }
    }
    List<Duct.FanPoint> curve =
        fan.stream()
            .filter(NumberEntry::begun)
            .map(row -> new Duct.FanPoint(row.get(0).number(), row.get(1).number()))
            .toList();
    return Optional.of(
        Duct.Readings.of(
            run, fitted, flow.number(), curve.isEmpty() ? Optional.empty() : Optional.of(curve)));
  }
}
