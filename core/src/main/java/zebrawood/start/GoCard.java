package zebrawood.start;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.measure.Verdict;
import zebrawood.start.GoLine.Kind;
import zebrawood.words.Dates;
import zebrawood.words.Message;

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
              Message.of(
                  machine.cooledByWater()
                      ? "start.line.emergency-stop-pump"
                      : "start.line.emergency-stop")));
    }
    int number = 1;
    for (Message part : machine.startUpOrder()) {
      lines.add(
          new GoLine(
              SWITCH_ON + number, Kind.SWITCH_ON, Message.of("start.line.on", number, part)));
      number++;
    }
    interlocks(machine, lines);
    beforeRun(machine, lines);
    lines.addAll(lessons(ledger, stations, now, zone));
    return new GoCard(lines);
  }

  private static void interlocks(Machine machine, List<GoLine> lines) {
    if (machine.has(Fitting.LID_SWITCH)) {
      line(lines, Kind.INTERLOCK, "lid");
    } else {
      line(lines, Kind.INTERLOCK, "eyewear-on");
      line(lines, Kind.INTERLOCK, "door-shut");
      line(lines, Kind.INTERLOCK, "sign-out");
    }
    if (machine.has(Fitting.KEY_SWITCH)) {
      line(lines, Kind.INTERLOCK, "key");
    }
    if (machine.has(Fitting.ARM_SWITCH)) {
      line(lines, Kind.INTERLOCK, "arm");
    }
    if (machine.has(Fitting.FLOW_SWITCH)) {
      line(lines, Kind.INTERLOCK, "flow");
    }
  }

  private static void beforeRun(Machine machine, List<GoLine> lines) {
    if (machine.cooledByWater()) {
      line(lines, Kind.BEFORE_RUN, "coolant");
      line(lines, Kind.BEFORE_RUN, "bubbles");
    }
    if (machine.has(Fitting.AIR_ASSIST)) {
      line(lines, Kind.BEFORE_RUN, "air");
    }
    if (machine.has(Fitting.EXHAUST)) {
      line(lines, Kind.BEFORE_RUN, "exhaust");
    }
    if (machine.has(Fitting.LENS_CAP)) {
      line(lines, Kind.BEFORE_RUN, "lens-cap");
    }
    line(lines, Kind.BEFORE_RUN, "lens-clean");
    if (machine.has(Fitting.SHUTTER)) {
      line(lines, Kind.BEFORE_RUN, "shutter");
    }
    line(lines, Kind.BEFORE_RUN, "focus");
    line(lines, Kind.BEFORE_RUN, "gauge-out");
    line(lines, Kind.BEFORE_RUN, "artwork");
    if (machine.build().headTravels()) {
      line(lines, Kind.BEFORE_RUN, "path");
    }
    line(lines, Kind.BEFORE_RUN, "framed");
    line(lines, Kind.BEFORE_RUN, "stock");
    line(lines, Kind.BEFORE_RUN, "stay");
    line(lines, Kind.BEFORE_RUN, "extinguisher");
    for (String own : machine.ownLines().orElse(List.of())) {
      // The words are what tells it from others: changed, it is another line.
      lines.add(
          new GoLine(
              "own-" + own.strip().toLowerCase(Locale.ROOT),
              Kind.BEFORE_RUN,
              Message.verbatim(own.strip())));
    }
  }

  private static void line(List<GoLine> lines, Kind kind, String id) {
    lines.add(new GoLine(id, kind, Message.of("start.line." + id)));
  }

  private static List<GoLine> lessons(
      Ledger ledger, List<Station> stations, Instant now, ZoneId zone) {
    Instant since = now.minus(REMEMBERED);
    // Newest first; of what is said twice the newest stays.
    Map<String, GoLine> lessons = new LinkedHashMap<>();
    for (Event event : ledger.events().reversed()) {
      if (event.time().isBefore(since)) {
        continue;
      }
      Message on = Dates.day(event.time(), zone);
      if (event.kind() == EventKind.SPOILT) {
        String what = event.note().strip();
        lessons.putIfAbsent(
            what.toLowerCase(Locale.ROOT),
            lesson(
                event.id(),
                Message.of(
                    "start.lesson.forgotten",
                    on,
                    what.isEmpty() ? Message.of("start.lesson.a-step") : Message.verbatim(what))));
      } else if (event.kind() == EventKind.CRASH) {
        lessons.putIfAbsent(
            EventKind.CRASH.name(), lesson(event.id(), Message.of("start.lesson.crashed", on)));
      }
    }
    for (Station station : stations) {
      ledger.entriesAt(station).reversed().stream()
          .filter(e -> e.verdict() == Verdict.STOP && e.time().isAfter(since))
          .findFirst()
          .ifPresent(e ->
              lessons.put(
                  station.id(),
                  lesson(
                      e.id(),
                      Message.of(
                          "start.lesson.stopped", station.title(), Dates.day(e.time(), zone)))));
    }
    return lessons.values().stream().limit(MOST_LESSONS).toList();
  }

  private static GoLine lesson(String id, Message said) {
    return new GoLine("lesson-" + id, Kind.LESSON, said);
  }

  /** What protects, and is asked for every day. */
  public List<GoLine> protections() {
    return lines.stream().filter(l -> l.kind().protects()).toList();
  }
}
