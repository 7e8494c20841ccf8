package zebrawood.records.upkeep;

import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.machine.Machine;
import zebrawood.records.paper.Paper;
import zebrawood.upkeep.UpkeepFinding.PlannedVisit;
import zebrawood.upkeep.UpkeepTask;
import zebrawood.upkeep.UpkeepVisitFinding;
import zebrawood.upkeep.UpkeepVisitFinding.Line;
import zebrawood.upkeep.UpkeepVisitReadings;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * What is to be done on the visits to come, to take along: a box a task, what to bring, and the
 * caution.
 *
 * @param written the day, in words
 */
public record VisitListPage(
    String machine, String description, String written, String caution, List<Day> days) {
  /** So many visits fit a page. */
  private static final int MOST_VISITS = 6;

  /**
   * One visit.
   *
   * @param bring what is needed for it, each once
   */
  public record Day(String heading, String bring, List<String> lines) {}

  /**
   * @param written the day, in words
   */
  public static VisitListPage of(
      Machine machine,
      UpkeepVisitReadings readings,
      UpkeepVisitFinding finding,
      String written,
      Phrasebook words) {
    List<UpkeepTask> open = finding.open().stream().map(Line::task).toList();
    Stream<Day> now =
        open.isEmpty() ? Stream.empty() : Stream.of(day(readings.today(), open, words));
    Stream<Day> later =
        finding.plan().stream()
            .flatMap(p -> p.visits().stream())
            .filter(v -> open.isEmpty() || v.date().isAfter(readings.today()))
            .map(v -> day(v.date(), tasks(v, finding), words));
    return new VisitListPage(
        machine.name(),
        words.say(machine.inOneLine()),
        written,
        words.say("upkeep.caution"),
        Stream.concat(now, later).limit(MOST_VISITS).toList());
  }

  private static List<UpkeepTask> tasks(PlannedVisit visit, UpkeepVisitFinding finding) {
    return finding.lines().stream()
        .map(Line::task)
        .filter(t -> visit.tasks().contains(t.id()))
        .toList();
  }

  private static Day day(LocalDate date, List<UpkeepTask> tasks, Phrasebook words) {
    int minutes = tasks.stream().mapToInt(UpkeepTask::minutes).sum();
    List<Message> bring =
        tasks.stream()
            .map(t -> Message.of(Message.keyOf(t) + ".bring"))
            .filter(m -> !words.say(m).equals(words.say("upkeep.bring-nothing")))
            .distinct()
            .toList();
    return new Day(
        words.say("upkeep.list.day", date.toString(), minutes),
        Optional.of(bring)
            .filter(b -> !b.isEmpty())
            .map(b -> words.say("upkeep.list.bring", Message.list(b)))
            .orElse(""),
        tasks.stream().map(t -> words.line(Message.of(Message.keyOf(t) + ".do"))).toList());
  }

  /** As one well-formed HTML page. */
  public String html(Phrasebook words) throws IOException {
    return Paper.fill("/zebrawood/records/upkeep/visit-list.html", Map.of("list", this), words);
  }
}
