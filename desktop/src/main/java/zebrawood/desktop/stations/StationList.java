package zebrawood.desktop.stations;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import zebrawood.bed.BedReadings;
import zebrawood.bed.BedStation;
import zebrawood.bed.Levelling;
import zebrawood.bed.ShimReadings;
import zebrawood.bed.Shimming;
import zebrawood.controller.Audit;
import zebrawood.controller.ControllerReadings;
import zebrawood.controller.ControllerStation;
import zebrawood.desktop.bed.BedSheet;
import zebrawood.desktop.controller.ControllerSheet;
import zebrawood.desktop.cooling.CoolingSheet;
import zebrawood.desktop.mirrors.MirrorSheet;
import zebrawood.desktop.site.SiteSheet;
import zebrawood.desktop.solve.Solver;
import zebrawood.desktop.start.StartSheet;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Station;
import zebrawood.mirrors.Alignment;
import zebrawood.mirrors.MirrorReadings;
import zebrawood.mirrors.MirrorStation;
import zebrawood.records.bed.BedPlanSvg;
import zebrawood.records.bed.BedRecord;
import zebrawood.records.mirrors.MarksSvg;
import zebrawood.records.mirrors.MirrorRecord;
import zebrawood.records.site.CoolingRecord;
import zebrawood.records.site.CoolingSvg;
import zebrawood.records.site.DuctSvg;
import zebrawood.records.site.SiteRecord;
import zebrawood.site.CoolingStation;
import zebrawood.site.SiteStation;
import zebrawood.site.SiteSurvey;
import zebrawood.start.StartStation;

/** The stations that are built, in the order of the work. */
public final class StationList {
  private StationList() {}

  public static final List<StationModule> ALL =
      List.of(
          new StationModule(
              SiteStation.STATION,
              SiteSheet::new,
              entry -> DuctSvg.of(SiteRecord.of(entry.readings())),
              List.of(Solver.of("site", SiteSurvey.Readings.class, SiteSurvey::solve, Set.of()))),
          new StationModule(
              CoolingStation.STATION,
              CoolingSheet::new,
              entry -> CoolingSvg.of(CoolingRecord.of(entry.readings())),
              List.of()),
          new StationModule(StartStation.STATION, StartSheet::new, entry -> "", List.of()),
          new StationModule(
              ControllerStation.STATION,
              ControllerSheet::new,
              entry -> "",
              List.of(Solver.of("controller", ControllerReadings.class, Audit::solve, Set.of()))),
          new StationModule(
              MirrorStation.STATION,
              MirrorSheet::new,
              entry -> MarksSvg.of(MirrorRecord.of(entry.readings())),
              List.of(Solver.of("mirrors", MirrorReadings.class, Alignment::solve, Set.of()))),
          new StationModule(
              BedStation.STATION,
              BedSheet::new,
              entry -> BedPlanSvg.of(BedRecord.of(entry.readings()).task()),
              List.of(
                  Solver.of("bed", BedReadings.class, Levelling::solve, Set.of("keepScrew")),
                  Solver.of("shims", ShimReadings.class, Shimming::underHead, Set.of()))));

  public static List<Station> stations() {
    return ALL.stream().map(StationModule::station).toList();
  }

  public static List<Solver> solvers() {
    return ALL.stream().flatMap(m -> m.solvers().stream()).toList();
  }

  /** What draws the plan of an entry, by station id. */
  public static Map<String, Function<Entry, String>> pictures() {
    return ALL.stream().collect(Collectors.toMap(m -> m.station().id(), StationModule::picture));
  }
}
