package zebrawood.desktop.demo;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import zebrawood.bed.BedStation;
import zebrawood.controller.ControllerStation;
import zebrawood.desktop.bed.BedModel;
import zebrawood.desktop.bed.BedOutcome;
import zebrawood.desktop.bed.BedWay;
import zebrawood.desktop.controller.ControllerModel;
import zebrawood.desktop.controller.ControllerOutcome;
import zebrawood.desktop.cooling.CoolingModel;
import zebrawood.desktop.cooling.CoolingOutcome;
import zebrawood.desktop.fields.NumberEntry;
import zebrawood.desktop.mirrors.MirrorModel;
import zebrawood.desktop.mirrors.MirrorOutcome;
import zebrawood.desktop.sheet.EntryDesk;
import zebrawood.desktop.sheet.Proven;
import zebrawood.desktop.site.SiteModel;
import zebrawood.desktop.site.SiteOutcome;
import zebrawood.desktop.start.StartModel;
import zebrawood.desktop.start.StartOutcome;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.LengthUnit;
import zebrawood.mirrors.MirrorStation;
import zebrawood.records.bed.BedRecord;
import zebrawood.records.controller.ControllerRecord;
import zebrawood.records.mirrors.MirrorRecord;
import zebrawood.records.site.CoolingRecord;
import zebrawood.records.site.SiteRecord;
import zebrawood.records.start.StartRecord;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;
import zebrawood.site.Cooling;
import zebrawood.site.CoolingFinding;
import zebrawood.site.CoolingReadings;
import zebrawood.site.CoolingStation;
import zebrawood.site.Site;
import zebrawood.site.SiteFinding;
import zebrawood.site.SiteReadings;
import zebrawood.site.SiteStation;
import zebrawood.start.GoCard;
import zebrawood.start.Start;
import zebrawood.start.StartFinding;
import zebrawood.start.StartReadings;
import zebrawood.start.StartStation;

/**
 * Writes the label workshop into an empty file: Alder, whose bed is stale since it was moved;
 * Sedge, which holds; Flint, which is out; Bryony, whose bed was never read and whose coolant is
 * colder than the air allows; Tansy, whose software's 100 % reaches a quarter of its laser. Alder's
 * controller was reset, and its tube replaced. The readings go through the same sheet model and
 * core as typed ones.
 */
public final class DemoWorkshop {
  private static final String MORNING = "EH";
  private static final String AFTERNOON = "TR";

  private final Workshop workshop;
  private final Instant now;
  private int written;

  private DemoWorkshop(Workshop workshop, Instant now) {
    this.workshop = workshop;
    this.now = now;
  }

  /**
   * @param now the histories end a little before this moment
   */
  public static void write(Path file, Instant now) {
    switch (Workshop.open(file)) {
      case Opening.Opened(Workshop workshop) -> {
        try (workshop) {
          new DemoWorkshop(workshop, now).write();
        }
      }
      case Opening.InUse(String holder) -> throw new IllegalStateException("in use: " + holder);
      case Opening.Unusable(String because) -> throw new IllegalStateException(because);
    }
  }

  private void write() {
    alder();
    sedge();
    flint();
    bryony();
    tansy();
  }

  private Machine machine(
      String name,
      Build build,
      Source source,
      double widthMm,
      double depthMm,
      BedSupport support,
      double toleranceMm) {
    Machine machine =
        new Machine(id(name), name, build, source, widthMm, depthMm, support, toleranceMm);
    workshop.record(machine, MORNING, daysAgo(60, 8));
    return machine;
  }

  private void alder() {
    Machine alder =
        machine(
            "Alder",
            Build.GANTRY_WITH_MIRRORS,
            new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600),
            700,
            500,
            BedSupport.SCREWS,
            0.3);
    read(alder, EntryKind.AS_FOUND, 21, 10.25, "commissioning", "7.3 7.0 6.4 6.8 6.3 5.6");
    read(alder, EntryKind.CHECK, 21, 10.6, "commissioning", "6.5 6.4 6.3 6.6 6.4 6.2");
    read(alder, EntryKind.AS_LEFT, 21, 11.05, "commissioning", "6.4 6.5 6.4 6.5 6.4 6.3");
    happened(alder, EventKind.HONEYCOMB_OR_ROTARY, 14, 9, "rotary out, honeycomb back in");
    feel(alder, 14, 9.5, "honeycomb or rotary put in or out", "s s s s s s");
    read(alder, EntryKind.AS_FOUND, 8, 8.5, "check", "6.4 6.5 6.4 6.6 6.4 6.4");
    happened(alder, EventKind.MOVED, 6, 14, "to the room beside the potting shed");
    Map<String, String> alderSite =
        Map.ofEntries(
            Map.entry("load.1", "1200"),
            Map.entry("load.2", "800"),
            Map.entry("load.3", "300"),
            Map.entry("flow", "350"),
            Map.entry("bore.1", "150"),
            Map.entry("length.1", "1.5"),
            Map.entry("bends.1", "1"),
            Map.entry("bore.2", "125"),
            Map.entry("length.2", "3"),
            Map.entry("bends.2", "2"),
            Map.entry("fanFlow.1", "0"),
            Map.entry("fanPa.1", "520"),
            Map.entry("fanFlow.2", "350"),
            Map.entry("fanPa.2", "430"),
            Map.entry("fanFlow.3", "700"),
            Map.entry("fanPa.3", "0"),
            Map.entry("beam", "6"),
            Map.entry("divergence", "4"),
            Map.entry("plug", "16"),
            Map.entry("startUp", "28"),
            Map.entry("fusePlate", "16"),
            Map.entry("reading.fuseFitted", "16"),
            Map.entry("fitting.1", "150"),
            Map.entry("fitting.2", "125"),
            Map.entry("fittingKind.2", "OUTLET"),
            Map.entry("reading.bar", "1.5"),
            Map.entry("leastBar", "1"),
            Map.entry("reading.room", "20.5"),
            Map.entry("reading.humidity", "51"),
            Map.entry("reading.clearance", "320"),
            Map.entry("clearanceNeeded", "250"),
            Map.entry("bare.length", "1280"),
            Map.entry("bare.width", "840"),
            Map.entry("bare.height", "1060"),
            Map.entry("way.1.first", "900"),
            Map.entry("way.1.second", "2000"),
            Map.entry("way.2.kind", "CORNER"),
            Map.entry("way.2.first", "1100"),
            Map.entry("way.2.second", "1250"),
            Map.entry("mass", "165"),
            Map.entry("floor", "350"),
            Map.entry("from.1", "9000"),
            Map.entry("to.1", "11000"),
            Map.entry("density.1", "6"));
    site(alder, EntryKind.AS_LEFT, 21, 8.4, "commissioning", "0.11", alderSite);
    site(alder, EntryKind.AS_LEFT, 5, 8.3, "machine moved", "0.14", alderSite);
    cool(alder, EntryKind.AS_LEFT, 21, 9.2, "commissioning", "21.5 46 18.0 21.0 3");
    cool(alder, EntryKind.AS_FOUND, 12, 8.7, "check", "22.0 48 18.5 21.4 4");
    cool(alder, EntryKind.AS_LEFT, 5, 9.1, "machine moved", "20.5 51 18.2 - -");
    control(
        alder, EntryKind.AS_LEFT, 21, 9.95, "commissioning", dump("255", 1, 3, 1000, 1, 700, 500));
    happened(alder, EventKind.FIRMWARE_RESET, 4, 10, "after the update of its firmware");
    control(
        alder, EntryKind.AS_FOUND, 4, 10.3, "firmware reset", dump("25", 0, 0, 1000, 0, 200, 200));
    mirrors(
        alder,
        EntryKind.AS_FOUND,
        21,
        10.0,
        "commissioning",
        "0.5 -0.5 3 -1.5 -1 0 -3.5 2 -3.5 -1 -6 1",
        Map.of("visit.leastPulse", "4 mA"));
    mirrors(
        alder,
        EntryKind.AS_LEFT,
        21,
        10.2,
        "commissioning",
        "0.5 0 0.5 0 -0.5 0 -0.5 0.5 0 0 -0.5 0",
        Map.of("visit.leastPulse", "4 mA"));
    happened(alder, EventKind.SOURCE_REPLACED, 3, 13, "the old tube gave half of what it did");
    mirrors(
        alder,
        EntryKind.AS_FOUND,
        3,
        15.5,
        "tube or source replaced",
        "2.5 -1.5 4.5 -3 -2.5 -0.5 -6.5 -1.5 -4.5 -1.5 -8.5 -3",
        Map.of("visit.leastPulse", "5 mA", "reading.tube.right", "2", "reading.tube.up", "-1"));
    start(alder, EntryKind.AS_LEFT, 21, 9.9, "commissioning", "18.4");
    start(alder, EntryKind.AS_LEFT, 5, 9.6, "machine moved", "18.3");
    happened(alder, EventKind.SPOILT, 11, 16.5, "focus not set again after the slate");
    BedModel typed = model(alder, "6.0 6.5 6.9 6.2 6.6 7.2");
    workshop.keepDraft(alder.id(), BedStation.STATION.id(), typed.typed());
  }

  private void sedge() {
    Machine sedge =
        machine(
            "Sedge",
            Build.GANTRY_WITH_HEAD_MODULE,
            new Source(SourceKind.DIODE, 20, 450),
            400,
            400,
            BedSupport.SHIMS,
            0.4);
    site(
        sedge,
        EntryKind.AS_LEFT,
        48,
        12.5,
        "commissioning",
        "0.18",
        Map.of("load.1", "180", "beam", "4", "from.1", "400", "to.1", "540", "density.1", "6"));
    read(sedge, EntryKind.AS_FOUND, 48, 13.5, "commissioning", "20.2 20.6 21.1 20.1 20.4 20.8");
    read(sedge, EntryKind.AS_LEFT, 48, 14.4, "commissioning", "20.1 20.2 20.2 20.1 20.1 20.2");
    happened(sedge, EventKind.CRASH, 30, 16, "head caught a curled sheet of laminate");
    read(sedge, EntryKind.AS_FOUND, 29, 9, "crash", "20.1 20.4 20.8 20.0 20.2 20.5");
    read(sedge, EntryKind.AS_LEFT, 29, 9.8, "crash", "20.1 20.1 20.2 20.0 20.1 20.2");
    start(sedge, EntryKind.AS_LEFT, 5, 11.2, "head swapped", "");
    control(
        sedge, EntryKind.AS_LEFT, 48, 13.1, "commissioning", dump("255", 1, 3, 1000, 1, 400, 400));
    happened(sedge, EventKind.HEAD_SWAPPED, 5, 11, "router off, laser back on");
    control(
        sedge, EntryKind.AS_LEFT, 5, 11.1, "head swapped", dump("255", 1, 3, 1000, 1, 400, 400));
    feel(sedge, 5, 11.4, "head swapped", "s s s s s s");
  }

  private void flint() {
    Machine flint =
        machine(
            "Flint",
            Build.GALVO,
            new Source(SourceKind.FIBRE, 50, 1064),
            150,
            150,
            BedSupport.SHIMS,
            0.2);
    site(
        flint,
        EntryKind.AS_LEFT,
        40,
        9.2,
        "commissioning",
        "0.13",
        Map.ofEntries(
            Map.entry("load.1", "700"),
            Map.entry("flow", "250"),
            Map.entry("bore.1", "63"),
            Map.entry("length.1", "6"),
            Map.entry("bends.1", "4"),
            Map.entry("fanFlow.1", "0"),
            Map.entry("fanPa.1", "600"),
            Map.entry("fanFlow.2", "300"),
            Map.entry("fanPa.2", "0"),
            Map.entry("beam", "7"),
            Map.entry("from.1", "900"),
            Map.entry("to.1", "1100"),
            Map.entry("density.1", "7")));
    read(flint, EntryKind.AS_FOUND, 40, 10, "commissioning", "163.1 163.3 163.4 163.0 163.2 163.4");
    read(
        flint, EntryKind.AS_LEFT, 40, 11.2, "commissioning", "163.2 163.2 163.3 163.2 163.2 163.3");
    start(flint, EntryKind.AS_LEFT, 40, 9.8, "commissioning", "");
    happened(flint, EventKind.HEAD_SHIMMED, 2, 15, "column taken down for a taller foot");
    read(
        flint,
        EntryKind.AS_LEFT,
        1,
        9.2,
        "galvo head shimmed or moved",
        "188.0 188.3 188.5 187.8 188.1 188.3");
  }

  private void bryony() {
    Machine bryony =
        machine(
            "Bryony",
            Build.GALVO,
            new Source(SourceKind.UV, 5, 355),
            110,
            110,
            BedSupport.SHIMS,
            0.2);
    cool(bryony, EntryKind.AS_LEFT, 38, 10.5, "commissioning", "22.5 44 21.0 22.0 2");
    cool(bryony, EntryKind.AS_LEFT, 3, 15.2, "check", "27.5 71 19.0 - -");
  }

  /** Right and up of each mark, in the order of the sheet. */
  private void mirrors(
      Machine machine,
      EntryKind kind,
      int days,
      double hour,
      String because,
      String readings,
      Map<String, String> named) {
    MirrorModel model = new MirrorModel(machine);
    String[] words = readings.split(" ");
    int next = 0;
    for (List<NumberEntry> mark : model.marks().values()) {
      mark.get(0).textProperty().set(words[next]);
      mark.get(1).textProperty().set(words[next + 1]);
      next += 2;
    }
    model.type(
        Map.of(
            "beam", "7",
            "face", "25",
            "trial.1.sideways.right", "3",
            "trial.1.sideways.up", "0",
            "trial.1.upDown.right", "0",
            "trial.1.upDown.up", "2",
            "trial.2.sideways.right", "4",
            "trial.2.sideways.up", "0.5",
            "trial.2.upDown.right", "0",
            "trial.2.upDown.up", "3"));
    model.type(named);
    if (!(model.outcomeProperty().get() instanceof MirrorOutcome.Found found)) {
      throw new IllegalStateException("demo readings: " + model.outcomeProperty().get());
    }
    record(
        machine,
        MirrorStation.STATION,
        kind,
        daysAgo(days, hour),
        because,
        new EntryDesk.Reading(
            MirrorRecord.readings(model.typed(), found.visit()),
            MirrorRecord.finding(found.finding()),
            found.finding().verdict(),
            found.visit().figures(found.finding())));
  }

  private void tansy() {
    Machine tansy =
        machine(
            "Tansy",
            Build.GANTRY_WITH_HEAD_MODULE,
            new Source(SourceKind.DIODE, 10, 450),
            400,
            400,
            BedSupport.SHIMS,
            0.4);
    control(
        tansy, EntryKind.AS_FOUND, 2, 9.4, "commissioning", dump("25", 0, 0, 4000, 1, 400, 400));
  }

  /** Settings as such a controller reports them. */
  private static String dump(
      String idle, int guards, int mask, int top, int mode, int travelX, int travelY) {
    return """
    $0=10
    $1=%s
    $3=0
    $13=0
    $20=%d
    $21=%d
    $22=%d
    $23=%d
    $30=%d
    $31=0
    $32=%d
    $100=80.000
    $101=80.000
    $110=30000.000
    $111=30000.000
    $120=1500.000
    $121=1200.000
    $130=%d.000
    $131=%d.000
    """
        .formatted(idle, guards, guards, guards, mask, top, mode, travelX, travelY);
  }

  /** The settings, and the motion proven where they fit. */
  private void control(
      Machine machine, EntryKind kind, int days, double hour, String because, String dump) {
    ControllerModel model = new ControllerModel(machine);
    model.type(
        Map.of(EntryDesk.READING + "dump", dump, "connection", "front port, the short blue cable"));
    if (kind == EntryKind.AS_LEFT) {
      model.proofs().values().forEach(proven -> proven.set(Proven.YES));
    }
    if (!(model.outcomeProperty().get() instanceof ControllerOutcome.Found found)) {
      throw new IllegalStateException("demo readings: " + model.outcomeProperty().get());
    }
    record(
        machine,
        ControllerStation.STATION,
        kind,
        daysAgo(days, hour),
        because,
        new EntryDesk.Reading(
            ControllerRecord.readings(model.typed(), found.visit()),
            ControllerRecord.finding(found.finding()),
            found.finding().verdict(),
            found.visit().figures(found.finding())));
  }

  /** The earth, whatever is named, and everything proven that the machine has. */
  private void site(
      Machine machine,
      EntryKind kind,
      int days,
      double hour,
      String because,
      String earthOhm,
      Map<String, String> named) {
    SiteModel model = new SiteModel(machine);
    Map<String, String> typed = new HashMap<>(named);
    typed.put(EntryDesk.READING + "earth", earthOhm);
    model.type(typed);
    model.proofs().values().forEach(proven -> proven.set(Proven.YES));
    if (!(model.outcomeProperty().get()
        instanceof SiteOutcome.Found(SiteReadings read, SiteFinding finding))) {
      throw new IllegalStateException("demo readings: " + model.outcomeProperty().get());
    }
    record(
        machine,
        SiteStation.STATION,
        kind,
        daysAgo(days, hour),
        because,
        new EntryDesk.Reading(
            SiteRecord.readings(model.typed(), read),
            SiteRecord.finding(finding),
            finding.verdict(),
            Site.figures(read, finding)));
  }

  /** Every line of its go card is so; with the coolant read where there is any. */
  private void start(
      Machine machine, EntryKind kind, int days, double hour, String because, String coolant) {
    GoCard card =
        GoCard.of(
            new Ledger(machine, List.of(), List.of()),
            List.of(),
            daysAgo(days, hour),
            ZoneOffset.UTC);
    StartModel model =
        new StartModel(card, machine.cooledByWater(), java.util.OptionalDouble.empty());
    model.type(Map.of(EntryDesk.READING + "coolant", coolant));
    model.proofs().values().forEach(proven -> proven.set(Proven.YES));
    if (!(model.outcomeProperty().get()
        instanceof StartOutcome.Found(StartReadings read, StartFinding finding))) {
      throw new IllegalStateException("demo readings: " + model.outcomeProperty().get());
    }
    record(
        machine,
        StartStation.STATION,
        kind,
        daysAgo(days, hour),
        because,
        new EntryDesk.Reading(
            StartRecord.readings(model.typed(), read),
            StartRecord.finding(finding),
            finding.verdict(),
            Start.figures(read, finding)));
  }

  /** Room, humidity, coolant, after an hour, conductivity; everything proven. */
  private void cool(
      Machine machine, EntryKind kind, int days, double hour, String because, String readings) {
    CoolingModel model = new CoolingModel(machine);
    String[] words = readings.split(" ");
    List<NumberEntry> fields = new ArrayList<>(model.atEveryVisit());
    fields.addAll(model.atSomeVisits());
    for (int i = 0; i < words.length; i++) {
      fields.get(i).textProperty().set(words[i].equals("-") ? "" : words[i]);
    }
    model.proofs().values().forEach(proven -> proven.set(Proven.YES));
    if (!(model.outcomeProperty().get()
        instanceof CoolingOutcome.Found(CoolingReadings read, CoolingFinding finding))) {
      throw new IllegalStateException("demo readings: " + model.outcomeProperty().get());
    }
    record(
        machine,
        CoolingStation.STATION,
        kind,
        daysAgo(days, hour),
        because,
        new EntryDesk.Reading(
            CoolingRecord.readings(model.typed(), read),
            CoolingRecord.finding(finding),
            finding.verdict(),
            Cooling.figures(read, finding)));
  }

  /** The sheet as it is when three by two readings are typed, from the front left. */
  private static BedModel model(Machine machine, String readings) {
    BedModel model = new BedModel(machine, LengthUnit.MILLIMETRE);
    model.setGrid(3, 2);
    type(model, readings);
    return model;
  }

  private static void type(BedModel model, String readings) {
    String[] words = readings.split(" ");
    for (int i = 0; i < words.length; i++) {
      model.placesProperty().get().get(i).reading().textProperty().set(words[i]);
    }
  }

  private void read(
      Machine machine, EntryKind kind, int days, double hour, String because, String readings) {
    record(machine, kind, daysAgo(days, hour), because, model(machine, readings));
  }

  private void feel(Machine machine, int days, double hour, String because, String readings) {
    BedModel model = new BedModel(machine, LengthUnit.MILLIMETRE);
    model.setGrid(3, 2);
    model.wayProperty().set(BedWay.FEEL);
    type(model, readings);
    record(machine, EntryKind.CHECK, daysAgo(days, hour), because, model);
  }

  private void record(Machine machine, EntryKind kind, Instant at, String because, BedModel model) {
    if (!(model.outcomeProperty().get() instanceof BedOutcome.Found found)) {
      throw new IllegalStateException("demo readings: " + model.outcomeProperty().get());
    }
    record(
        machine,
        BedStation.STATION,
        kind,
        at,
        because,
        new EntryDesk.Reading(
            BedRecord.readings(model.typed(), found.task()),
            BedRecord.finding(found.finding()),
            found.finding().verdict(),
            found.task().figures(found.finding())));
  }

  private void record(
      Machine machine,
      Station station,
      EntryKind kind,
      Instant at,
      String because,
      EntryDesk.Reading reading) {
    workshop.record(
        new Entry(
            id("entry"),
            machine.id(),
            station.id(),
            kind,
            at,
            at,
            kind == EntryKind.CHECK ? AFTERNOON : MORNING,
            because,
            reading.readings(),
            reading.finding(),
            reading.verdict(),
            reading.figures(),
            Optional.empty()));
  }

  private void happened(Machine machine, EventKind kind, int days, double hour, String note) {
    Instant at = daysAgo(days, hour);
    workshop.record(
        new Event(id("event"), machine.id(), kind, at, at, AFTERNOON, note, Optional.empty()));
  }

  private Instant daysAgo(int days, double hour) {
    Instant midnight = now.truncatedTo(java.time.temporal.ChronoUnit.DAYS);
    return midnight.minus(Duration.ofDays(days)).plusSeconds(Math.round(hour * 3600));
  }

  /** The same for every copy of the demo. */
  private String id(String what) {
    String name = "demo " + what + " " + written++;
    return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)).toString();
  }
}
