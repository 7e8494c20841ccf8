package zebrawood.start;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.measure.Verdict;
import zebrawood.start.GoLine.Kind;

/**
 * The list that is gone through before a run, for one machine.
 *
 * @param lines in the order they are done: the emergency stop before anything is powered, then the
 *     machine's own order of switching on, the other interlocks, the list before every run, and
 *     what went wrong here before
 */
public record GoCard(List<GoLine> lines) {
  /** Older trouble has either become a habit or does not come again. */
  private static final Duration REMEMBERED = Duration.ofDays(365);

  /** A card with more of them is not read. */
  private static final int MOST_LESSONS = 4;

  /** The card's name for the machine's own order of switching on begins so. */
  private static final String SWITCH_ON = "switch-on-";

  public GoCard {
    lines = List.copyOf(lines);
  }

  /**
   * @param stations those whose trouble is remembered
   * @param zone in which days are named
   */
  public static GoCard of(Ledger ledger, List<Station> stations, Instant now, ZoneId zone) {
    Machine machine = ledger.machine();
    List<GoLine> lines = new ArrayList<>();
    if (machine.has(Fitting.EMERGENCY_STOP)) {
      lines.add(
          new GoLine(
              "emergency-stop",
              Kind.STOP_FIRST,
              "the emergency stop cuts everything, tried before anything is powered"
                  + (machine.cooledByWater() ? ", the coolant pump included" : "")));
    }
    int number = 1;
    for (String part : machine.startUpOrder()) {
      lines.add(new GoLine(SWITCH_ON + number, Kind.SWITCH_ON, number + ". " + part + " on"));
      number++;
    }
    interlocks(machine, lines);
    beforeRun(machine, lines);
    lines.addAll(lessons(ledger, stations, now, zone));
    return new GoCard(lines);
  }

  private static void interlocks(Machine machine, List<GoLine> lines) {
    if (machine.has(Fitting.LID_SWITCH)) {
      lines.add(new GoLine("lid", Kind.INTERLOCK, "opening the lid stops the laser"));
    } else {
      lines.add(
          new GoLine(
              "door-and-eyewear",
              Kind.INTERLOCK,
              "no lid switch here: eyewear on everyone, the door shut, the sign out"));
    }
    if (machine.has(Fitting.KEY_SWITCH)) {
      lines.add(new GoLine("key", Kind.INTERLOCK, "without its key it does not fire"));
    }
    if (machine.has(Fitting.FLOW_SWITCH)) {
      lines.add(
          new GoLine("flow", Kind.INTERLOCK, "with the coolant hose pinched it does not fire"));
    }
  }

  private static void beforeRun(Machine machine, List<GoLine> lines) {
    if (machine.cooledByWater()) {
      before(lines, "coolant", "coolant flows, and no bubble stands in the tube or loop");
    }
    if (machine.has(Fitting.AIR_ASSIST)) {
      before(lines, "air", "air assist on, full for cutting, least for engraving");
    }
    if (machine.has(Fitting.EXHAUST)) {
      before(lines, "exhaust", "exhaust draws: a strip of paper is pulled to it");
    }
    if (machine.has(Fitting.LENS_CAP)) {
      before(lines, "lens-cap", "lens cap off, lens clean");
    }
    if (machine.has(Fitting.SHUTTER)) {
      before(lines, "shutter", "shutter open");
    }
    before(lines, "focus", "focus set for today's stock");
    before(lines, "artwork", "artwork mirrored, where the back is engraved");
    if (machine.build().headTravels()) {
      before(lines, "path", "nothing loose on the bed or in the head's way");
    }
    before(lines, "stay", "stock known and allowed; somebody stays, extinguisher within reach");
  }

  private static void before(List<GoLine> lines, String id, String words) {
    lines.add(new GoLine(id, Kind.BEFORE_RUN, words));
  }

  private static List<GoLine> lessons(
      Ledger ledger, List<Station> stations, Instant now, ZoneId zone) {
    DateTimeFormatter day = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH).withZone(zone);
    Instant since = now.minus(REMEMBERED);
    // Newest first; of what is said twice the newest stays.
    Map<String, GoLine> lessons = new LinkedHashMap<>();
    for (Event event : ledger.events().reversed()) {
      if (event.at().isBefore(since)) {
        continue;
      }
      String on = day.format(event.at());
      if (event.kind() == EventKind.SPOILT) {
        String what = event.note().isBlank() ? "a step" : event.note().strip();
        lessons.putIfAbsent(
            what.toLowerCase(Locale.ROOT),
            new GoLine("lesson-" + event.id(), Kind.LESSON, "forgotten on " + on + ": " + what));
      } else if (event.kind() == EventKind.CRASH) {
        lessons.putIfAbsent(
            "crash",
            new GoLine(
                "lesson-" + event.id(),
                Kind.LESSON,
                "the job was framed without hitting anything: it crashed on " + on));
      }
    }
    for (Station station : stations) {
      ledger.entriesAt(station).reversed().stream()
          .filter(e -> e.verdict() == Verdict.STOP && e.at().isAfter(since))
          .findFirst()
          .ifPresent(e -> lessons.put(station.id(), trouble(station, e, day)));
    }
    return lessons.values().stream().limit(MOST_LESSONS).toList();
  }

  private static GoLine trouble(Station station, Entry entry, DateTimeFormatter day) {
    return new GoLine(
        "lesson-" + entry.id(),
        Kind.LESSON,
        "%s looked at: it had to be stopped on %s"
            .formatted(station.title().toLowerCase(Locale.ROOT), day.format(entry.at())));
  }

  /** What protects, and is asked for every day. */
  public List<GoLine> protections() {
    return lines.stream().filter(l -> l.kind().protects()).toList();
  }
}
