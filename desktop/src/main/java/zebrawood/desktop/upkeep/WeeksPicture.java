package zebrawood.desktop.upkeep;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.text.Text;
import zebrawood.records.picture.Canvas;
import zebrawood.upkeep.UpkeepFinding;
import zebrawood.upkeep.UpkeepFinding.PlannedVisit;
import zebrawood.upkeep.UpkeepVisitFinding;
import zebrawood.upkeep.UpkeepVisitFinding.Line;
import zebrawood.upkeep.UpkeepVisitFinding.Turn;
import zebrawood.upkeep.UpkeepVisitReadings;
import zebrawood.words.Dates;
import zebrawood.words.Message;

/**
 * The next six weeks, a row a task: filled where it is due, rings where it will be, a band a visit
 * that does several at once.
 */
final class WeeksPicture {
  private static final int WEEKS = 6;
  private static final int DAYS = 7 * WEEKS;
  private static final double NAMES = 156;
  private static final double TOP = 40;
  private static final double FOOT = 44;
  private static final double RIGHT = 26;
  private static final double BAND = 12;
  private static final double DOT = 5;
  private static final double LEAST_ROW = 15;

  private final Canvas on;
  private final LocalDate today;

  WeeksPicture(Canvas on, LocalDate today) {
    this.on = on;
    this.today = today;
  }

  private double x(LocalDate day) {
    double days = Math.clamp(ChronoUnit.DAYS.between(today, day), 0, DAYS);
    return NAMES + days * (on.width() - NAMES - RIGHT) / DAYS;
  }

  void draw(Optional<Outcome.Solved<UpkeepVisitReadings, UpkeepVisitFinding>> solved) {
    if (solved.isEmpty()) {
      on.words(Text.of("upkeep.picture.empty"), on.width() / 2, on.height() / 2, 220, "plan-side");
      return;
    }
    UpkeepVisitFinding finding = solved.get().finding();
    List<Line> lines = shown(finding.lines());
    List<PlannedVisit> visits = finding.plan().map(UpkeepFinding::visits).orElse(List.of());
    double bottom = on.height() - FOOT;
    for (PlannedVisit visit : visits) {
      if (visit.tasks().size() > 1 && !visit.date().isAfter(today.plusDays(DAYS))) {
        on.rectangle(x(visit.date()) - BAND / 2, TOP, BAND, bottom - TOP, "weeks-band");
      }
    }
    for (int week = 0; week <= WEEKS; week++) {
      LocalDate day = today.plusDays(7L * week);
      on.line(x(day), TOP, x(day), bottom, week == 0 ? "beam-error" : "plan-grid");
      if (week % 2 == 0) {
        on.words(
            week == 0
                ? Text.of("upkeep.picture.today")
                : Text.of(Dates.day(day.atStartOfDay(ZoneOffset.UTC).toInstant(), ZoneOffset.UTC)),
            x(day),
            TOP - 16,
            60,
            "plan-side");
      }
    }
    double step = (bottom - TOP) / Math.max(1, lines.size());
    for (int i = 0; i < lines.size(); i++) {
      row(lines.get(i), visits, TOP + step * (i + 0.5));
    }
    on.words(
        Text.of("upkeep.picture.marks"),
        on.width() / 2,
        on.height() - FOOT / 2 + 4,
        on.width() - 20,
        "plan-side");
  }

  /** Where there is no room for all, those whose turn comes first. */
  private List<Line> shown(List<Line> all) {
    long most = (long) Math.max(1, (on.height() - TOP - FOOT) / LEAST_ROW);
    if (all.size() <= most) {
      return all;
    }
    List<Line> first =
        all.stream().sorted(Comparator.comparing(l -> l.due().orElse(today))).limit(most).toList();
    return all.stream().filter(first::contains).toList();
  }

  private void row(Line line, List<PlannedVisit> visits, double y) {
    on.words(Text.of(Message.of(line.task())), NAMES / 2 - 6, y, NAMES - 18, "plan-now");
    on.line(NAMES, y, on.width() - RIGHT, y, "plan-grid");
    boolean now = line.turn() == Turn.DUE || line.turn() == Turn.NEVER_DONE;
    if (now && !line.done()) {
      on.circle(x(today), y, DOT + 1, line.lateDays() > 0 ? "mark-now" : "plan-now");
    }
    for (PlannedVisit visit : visits) {
      boolean after = visit.date().isAfter(today) || line.done();
      if (visit.tasks().contains(line.task().id())
          && after
          && !visit.date().isAfter(today.plusDays(DAYS))) {
        on.circle(x(visit.date()), y, DOT, "mark-after");
      }
    }
  }
}
