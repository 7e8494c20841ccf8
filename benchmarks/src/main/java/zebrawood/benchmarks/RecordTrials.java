package zebrawood.benchmarks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import zebrawood.desktop.demo.DemoWorkshop;
import zebrawood.desktop.stations.StationList;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.records.passport.PassportFile;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Soundness;
import zebrawood.records.workshop.Workshop;

/**
 * How records last and how they grow.
 *
 * <p>{@code kills N}: a process that records is killed N times at random moments; is anything lost
 * that it had confirmed, and is the file sound? {@code growth ENTRIES MACHINES}: what a machine's
 * page, the overview, a search and a passport take in a workshop of so many entries, over one of
 * 1000 entries on one machine, and one of 1000 over as many machines.
 */
public final class RecordTrials {
  private static final Instant NOW = Instant.parse("2026-11-25T10:00:00Z");
  private static final int FEW = 1000;
  private static final int MINUTE_S = 60;
  private static final int ROUNDS = 5;
  private static final int MOST_WAIT_MS = 60;
  private static final int LONGEST_END_S = 20;
  private static final double MILLION = 1e6;

  private RecordTrials() {}

  /** Runs the trials. */
  public static void main(String[] args) throws Exception {
    switch (args.length == 0 ? "" : args[0]) {
      case "kills" -> kills(Integer.parseInt(args[1]));
      case "record" -> record(Path.of(args[1]), Long.parseLong(args[2]));
      case "growth" -> growth(Integer.parseInt(args[1]), Integer.parseInt(args[2]));
      default -> throw new IllegalArgumentException("kills N, or growth ENTRIES MACHINES");
    }
  }

  static Workshop opened(Path file) {
    return ((Opening.Opened) Workshop.open(file)).workshop();
  }

  private static Machine alder(Workshop workshop) {
    return workshop.machines().readable().stream()
        .filter(m -> m.name().equals("Alder"))
        .findFirst()
        .orElseThrow();
  }

  static List<Entry> samples(Workshop workshop, Machine machine) {
    return workshop.history(machine.id()).stream()
        .filter(Entry.class::isInstance)
        .map(Entry.class::cast)
        .filter(e -> e.stationId().equals("bed"))
        .toList();
  }

  static Entry another(Entry e, String machineId, String id, Instant at) {
    return new Entry(
        id,
        machineId,
        e.stationId(),
        e.subject(),
        e.kind(),
        at,
        at,
        e.by(),
        e.because(),
        e.readings(),
        e.finding(),
        e.verdict(),
        e.figures(),
        Optional.empty());
  }

  private static void kills(int times) throws Exception {
    Path folder = Files.createTempDirectory("zebrawood-kills");
    Path file = folder.resolve("w.zebrawood");
    DemoWorkshop.write(file, NOW);
    Random random = new Random(7);
    Set<String> confirmed = new HashSet<>();
    Path said = folder.resolve("said");
    int missing = 0;
    int unsound = 0;
    int refused = 0;
    for (int i = 0; i < times; i++) {
      Files.write(said, new byte[0]);
      Process process =
          new ProcessBuilder(
                  ProcessHandle.current().info().command().orElseThrow(),
                  "--enable-native-access=ALL-UNNAMED",
                  "-Xshare:auto",
                  "-cp",
                  System.getProperty("java.class.path"),
                  RecordTrials.class.getName(),
                  "record",
                  file.toString(),
                  String.valueOf(i))
              .redirectError(ProcessBuilder.Redirect.DISCARD)
              .redirectOutput(said.toFile())
              .start();
      while (process.isAlive() && Files.size(said) == 0) {
        Thread.sleep(1);
      }
      Thread.sleep(random.nextInt(MOST_WAIT_MS));
      process.destroyForcibly();
      process.waitFor(LONGEST_END_S, TimeUnit.SECONDS);
      Files.readAllLines(said).stream().filter(l -> l.endsWith(".")).forEach(confirmed::add);
      if (!(Soundness.of(file) instanceof Soundness.Sound)) {
        unsound++;
      }
      if (Workshop.open(file) instanceof Opening.Opened(Workshop workshop)) {
        try (workshop) {
          Set<String> there = new HashSet<>();
          workshop.history(alder(workshop).id()).forEach(r -> there.add(r.id()));
          missing += (int) confirmed.stream().filter(id -> !there.contains(id)).count();
        }
      } else {
        refused++;
      }
    }
    System.out.printf(
        Locale.ROOT,
        "%d kills: %d entries confirmed, missing %d; files unsound %d, not opened %d%n",
        times,
        confirmed.size(),
        missing,
        unsound,
        refused);
  }

  /** Records until it is killed; a line a confirmed entry, whose point ends it. */
  private static void record(Path file, long run) {
    Workshop workshop = opened(file);
    Machine machine = alder(workshop);
    Entry sample = samples(workshop, machine).getFirst();
    System.out.println("begun");
    System.out.flush();
    for (int i = 0; ; i++) {
      String id = "k" + run + "-" + i + ".";
      workshop.record(another(sample, machine.id(), id, NOW.plusSeconds(run)));
      System.out.println(id);
      System.out.flush();
    }
  }

  static Path grown(Path folder, int entries, int machines) throws IOException {
    Path file = folder.resolve(entries + "-" + machines + ".zebrawood");
    DemoWorkshop.write(file, NOW);
    try (Workshop workshop = opened(file)) {
      Machine alder = alder(workshop);
      List<Entry> samples = samples(workshop, alder);
      List<String> ids = new ArrayList<>(List.of(alder.id()));
      for (int m = 1; m < machines; m++) {
        Machine another =
            new Machine(
                "machine-" + m,
                "Machine " + m,
                alder.build(),
                alder.source(),
                alder.areaXMm(),
                alder.areaYMm(),
                alder.bedSupport(),
                alder.levelToleranceMm());
        workshop.record(another, "EH", NOW);
        ids.add(another.id());
      }
      long begun = System.nanoTime();
      for (int i = 0; i < entries; i++) {
        Entry sample = samples.get(i % samples.size());
        workshop.record(
            another(
                sample,
                ids.get(i % ids.size()),
                "g" + i,
                NOW.minusSeconds((long) MINUTE_S * (entries - i))),
            workshop.paperOf(sample.id()).orElseThrow());
      }
      System.out.printf(
          Locale.ROOT,
          "%d entries over %d machines recorded at %.2f ms each%n",
          entries,
          machines,
          (System.nanoTime() - begun) / MILLION / entries);
    }
    return file;
  }

  /** The best of a few, in milliseconds. */
  private static double best(Supplier<?> work) {
    double best = Double.MAX_VALUE;
    for (int i = 0; i < ROUNDS; i++) {
      long begun = System.nanoTime();
      var _ = work.get();
      best = Math.min(best, (System.nanoTime() - begun) / MILLION);
    }
    return best;
  }

  private static Map<String, Double> times(Path file, Path folder) {
    List<Station> stations = StationList.stations();
    Map<String, Double> times = new java.util.LinkedHashMap<>();
    times.put(
        "open",
        best(() -> {
          opened(file).close();
          return "";
        }));
    times.put(
        "machine's page",
        best(() -> {
          try (Workshop workshop = opened(file)) {
            Machine machine = alder(workshop);
            return new Ledger(machine, workshop.history(machine.id()), Map.of())
                .standings(stations, NOW);
          }
        }));
    try (Workshop workshop = opened(file)) {
      times.put(
          "overview",
          best(() ->
              workshop.machines().readable().stream()
                  .map(m -> workshop.atHand().glance(m, stations))
                  .map(l -> l.standings(stations, NOW).size())
                  .toList()));
      long learning = System.nanoTime();
      workshop
          .machines()
          .readable()
          .forEach(m -> workshop.atHand().learnWords(m.id(), "en", RecordTrials::words));
      times.put("words learnt, once", (System.nanoTime() - learning) / MILLION);
      times.put(
          "search", best(() -> workshop.atHand().search("alder bed", 200, RecordTrials::words)));
      times.put(
          "search for what is rare",
          best(() -> workshop.atHand().search("moved", 200, RecordTrials::words)));
      long begun = System.nanoTime();
      Path passport = folder.resolve(file.getFileName() + ".passport");
      try {
        int lines = PassportFile.write(workshop, alder(workshop), passport);
        times.put("passport written, " + lines + " lines", (System.nanoTime() - begun) / MILLION);
        begun = System.nanoTime();
        try (Workshop other = opened(folder.resolve(file.getFileName() + "-other"))) {
          PassportFile read = PassportFile.read(passport, Workshop.version());
          other.merge(read.machineId(), read.rows());
        }
        times.put("passport taken in", (System.nanoTime() - begun) / MILLION);
      } catch (IOException e) {
        throw new java.io.UncheckedIOException(e);
      }
    }
    return times;
  }

  private static String words(Recorded line) {
    return line instanceof Entry e ? e.stationId() + " " + e.kind() : line.toString();
  }

  private static void growth(int entries, int machines) throws IOException {
    Path folder = Files.createTempDirectory("zebrawood-growth");
    Path one = grown(folder, FEW, 1);
    Path few = grown(folder, FEW, machines);
    Path many = grown(folder, entries, machines);
    Map<String, Double> ofOne = times(one, folder);
    Map<String, Double> ofFew = times(few, folder);
    Map<String, Double> ofMany = times(many, folder);
    System.out.printf(
        Locale.ROOT, "file %.1f and %.1f MB%n", Files.size(few) / 1e6, Files.size(many) / 1e6);
    List<Double> small = new ArrayList<>(ofOne.values());
    List<Double> spread = new ArrayList<>(ofFew.values());
    int i = 0;
    for (Map.Entry<String, Double> measured : ofMany.entrySet()) {
      System.out.printf(
          Locale.ROOT,
          "%-36s %9.1f ms; of %d on one machine %.1f ms, ratio %.2f;"
              + " over as many machines %.1f ms, ratio %.2f%n",
          measured.getKey(),
          measured.getValue(),
          FEW,
          small.get(i),
          measured.getValue() / small.get(i),
          spread.get(i),
          measured.getValue() / spread.get(i));
      i++;
    }
  }
}
