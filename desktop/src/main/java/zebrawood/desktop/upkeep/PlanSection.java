package zebrawood.desktop.upkeep;

import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.text.Text;
import zebrawood.machine.Machine;
import zebrawood.records.upkeep.VisitCalendar;
import zebrawood.records.upkeep.VisitListPage;
import zebrawood.upkeep.UpkeepVisitFinding;
import zebrawood.upkeep.UpkeepVisitReadings;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

/** The visits to come as a calendar file, and as a list on paper. */
final class PlanSection extends Section<Void, Void> {
  private static final String PAGE_KIND = "upkeep-list";

  private final WordsField file;
  private final Machine machine;
  private final Supplier<Optional<Outcome.Solved<UpkeepVisitReadings, UpkeepVisitFinding>>> solved;

  PlanSection(
      StationForm form,
      Machine machine,
      Supplier<Optional<Outcome.Solved<UpkeepVisitReadings, UpkeepVisitFinding>>> solved) {
    super(Message.of("upkeep.calendar.hint"));
    this.machine = machine;
    this.solved = solved;
    file = form.words("calendarFile");
  }

  @Override
  public Stream<Field> fields() {
    return Stream.empty();
  }

  @Override
  public Part part() {
    return Part.fold(
        "upkeep.calendar",
        said(),
        Part.rows(file),
        new Part.Press("upkeep-write-calendar", Message.of("upkeep.calendar.write"), this::write),
        new Part.Press("upkeep-print", Message.of("upkeep.calendar.print"), this::print));
  }

  private void write() {
    if (solved.get().isEmpty()) {
      say(Message.of("upkeep.calendar.nothing"));
      return;
    }
    UpkeepVisitFinding finding = solved.get().get().finding();
    Phrasebook words = Text.words();
    withFile(
        file,
        Message.of("field.file.no-name"),
        (name, progress) -> {
          new VisitCalendar(machine, words).write(Path.of(name), finding);
          return Message.of("field.file.written", Message.quoted(name));
        });
  }

  private void print() {
    if (solved.get().isEmpty() || sheet().isEmpty()) {
      say(Message.of("upkeep.calendar.nothing"));
      return;
    }
    var now = solved.get().get();
    Phrasebook words = Text.words();
    String day = today().orElse("");
    sheet()
        .get()
        .host()
        .write(
            new SheetHost.Page(
                Text.of("upkeep.calendar.print"),
                Text.of("upkeep.calendar.print-why"),
                PAGE_KIND,
                false,
                remark ->
                    VisitListPage.of(machine, now.readings(), now.finding(), day, words)
                        .html(words)));
  }
}
