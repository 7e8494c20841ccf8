package zebrawood.records;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.bed.BedReadings;
import zebrawood.bed.BedTask;
import zebrawood.bed.BedVisitFinding;
import zebrawood.bed.Clockwise;
import zebrawood.bed.GapPoint;
import zebrawood.bed.Screw;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.records.json.RecordJson;
import zebrawood.records.kept.KeptReadings;
import zebrawood.words.Message;

/** A machine and entries for the tests of this module. */
public final class Samples {
  public static final Instant START = Instant.parse("2026-03-02T09:00:00Z");

  public static final Machine ALDER =
      new Machine(
          "alder",
          "Alder & <Co>",
          Build.GANTRY_WITH_MIRRORS,
          new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600),
          700,
          500,
          BedSupport.SCREWS,
          0.3);

  private Samples() {}

  public static BedTask.OnScrews onScrews(double... gaps) {
    return new BedTask.OnScrews(
        new BedReadings(
            points(gaps),
            0.1,
            0.3,
            List.of(
                new Screw("front left", 0, 0, 0.7, Clockwise.RAISES),
                new Screw("front right", 700, 0, 0.7, Clockwise.RAISES),
                new Screw("rear left", 0, 500, 0.7, Clockwise.LOWERS)),
            Optional.empty()));
  }

  private static List<GapPoint> points(double... gaps) {
    return List.of(
        new GapPoint(20, 20, gaps[0]),
        new GapPoint(680, 20, gaps[1]),
        new GapPoint(20, 480, gaps[2]),
        new GapPoint(680, 480, gaps[3]));
  }

  public static Entry entry(String id, EntryKind kind, int minutes, BedTask.OnScrews task) {
    BedVisitFinding finding = task.solve();
    Instant at = START.plusSeconds(60L * minutes);
    return new Entry(
        id,
        ALDER.id(),
        "bed",
        Optional.empty(),
        kind,
        at,
        at,
        "EH",
        Message.of("ledger.reason.commissioning"),
        KeptReadings.write(Map.of("reading.0", "6,3"), task, BedTask.class),
        RecordJson.write((Record) finding, BedVisitFinding.class),
        finding.verdict(),
        task.figures(finding),
        Optional.empty());
  }

  public static Event moved(String id, int minutes) {
    Instant at = START.plusSeconds(60L * minutes);
    return new Event(
        id,
        ALDER.id(),
        EventKind.MOVED,
        at,
        at,
        "TR",
        "to the shed",
        Optional.empty(),
        List.of(),
        Optional.empty());
  }
}
