package zebrawood.records.upkeep;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import zebrawood.machine.Machine;
import zebrawood.measure.UnusableReading;
import zebrawood.records.file.WholeFile;
import zebrawood.upkeep.UpkeepFinding.PlannedVisit;
import zebrawood.upkeep.UpkeepTask;
import zebrawood.upkeep.UpkeepVisitFinding;
import zebrawood.upkeep.UpkeepVisitFinding.Line;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/**
 * The visits to come as a calendar file (iCalendar, RFC 5545): a whole day each, with what is done
 * on it. A visit keeps its name for calendars, so that the same file read twice is one visit.
 */
public final class VisitCalendar {
  private static final String ENDING = ".ics";

  private final Machine machine;
  private final Phrasebook words;

  public VisitCalendar(Machine machine, Phrasebook words) {
    this.machine = machine;
    this.words = words;
  }

  /**
   * @throws UnusableReading where the name does not end as calendars do, or there is no visit
   * @throws java.nio.file.FileAlreadyExistsException where there is such a file
   */
  public void write(Path file, UpkeepVisitFinding finding) throws IOException {
    if (!file.toString().toLowerCase(Locale.ROOT).endsWith(ENDING)) {
      throw UnusableReading.of(
          words.say("upkeep.field.calendarFile"),
          Message.quoted(file.toString()),
          Message.of("upkeep.accepts.calendar"));
    }
    List<PlannedVisit> visits = finding.plan().map(p -> p.visits()).orElse(List.of());
    if (visits.isEmpty()) {
      throw UnusableReading.of(
          words.say("upkeep.field.calendarFile"),
          Message.of("upkeep.calendar.nothing"),
          Message.of("upkeep.accepts.a-visit"));
    }
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Zebrawood//Upkeep//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    visits.forEach(v -> calendar.add(event(v, finding)));
    WholeFile.writeBytes(file, out -> new CalendarOutputter(true).output(calendar, out));
  }

  private VEvent event(PlannedVisit visit, UpkeepVisitFinding finding) {
    List<UpkeepTask> tasks =
        finding.lines().stream()
            .map(Line::task)
            .filter(t -> visit.tasks().contains(t.id()))
            .toList();
    int minutes = tasks.stream().mapToInt(UpkeepTask::minutes).sum();
    VEvent event =
        new VEvent(
            visit.date(),
            words.say("upkeep.calendar.event", machine.name(), tasks.size(), minutes));
    event.add(new Uid(machine.id() + "-" + visit.date() + "-upkeep@zebrawood"));
    event.add(
        new Description(
            tasks.stream()
                .map(t -> words.say(Message.of(Message.keyOf(t) + ".do")))
                .collect(Collectors.joining("\n"))));
    return event;
  }
}
