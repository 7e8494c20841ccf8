package zebrawood.upkeep;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import zebrawood.measure.UnusableReading;
import zebrawood.measure.Verdict;
import zebrawood.upkeep.UpkeepReadings.CounterReading;
import zebrawood.upkeep.UpkeepReadings.Task;

class UpkeepTest {
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 25);

  private static Task task(
      String id, double days, double hours, int daysAgo, double lastHours, Found... found) {
    return new Task(
        id,
        days > 0 ? OptionalDouble.of(days) : OptionalDouble.empty(),
        hours > 0 ? OptionalDouble.of(hours) : OptionalDouble.empty(),
        TODAY.minusDays(daysAgo),
        lastHours >= 0 ? OptionalDouble.of(lastHours) : OptionalDouble.empty(),
        List.of(found));
  }

  private static UpkeepFinding solve(List<CounterReading> counter, Task... tasks) {
    return Upkeep.solve(new UpkeepReadings(TODAY, counter, List.of(tasks)));
  }

  private static CounterReading counted(int daysAgo, double hours) {
    return new CounterReading(TODAY.minusDays(daysAgo), hours);
  }

  @Test
  void anIntervalFollowsHowItWasFoundWithinHalfAndTwice() {
    assertThat(days(20, Found.CLEAN)).isEqualTo(23, within(1e-9));
    assertThat(days(20, Found.FAIR, Found.FAIR)).isEqualTo(20);
    assertThat(days(20, Found.DIRTY)).isEqualTo(14, within(1e-9));
    assertThat(days(20, Found.DIRTY, Found.DIRTY, Found.DIRTY)).isEqualTo(10);
    // Each finding is limited: after ten dirty ones a clean one lengthens from half.
    Found[] all = new Found[11];
    Arrays.fill(all, Found.DIRTY);
    all[10] = Found.CLEAN;
    assertThat(days(20, all)).isEqualTo(11.5, within(1e-9));
  }

  private static double days(double every, Found... found) {
    return solve(List.of(), task("a", every, 0, 0, -1, found)).due("a").everyDays().getAsDouble();
  }

  @Test
  void wholeDaysOfDecimalFiguresAreNotLostToRounding() {
    // 100 times 1.15 is 114.99999999999999 as doubles go.
    assertThat(solve(List.of(), task("a", 100, 0, 0, -1, Found.CLEAN)).due("a").dueDate().value())
        .contains(TODAY.plusDays(115));
  }

  @Test
  void dueIsTheEarlierOfDaysAndHours() {
    List<CounterReading> counter = List.of(counted(10, 100), counted(0, 130));
    UpkeepFinding finding = solve(counter, task("a", 30, 40, 5, 120), task("b", 4, 40, 0, 130));
    assertThat(finding.hoursPerDay().getAsDouble()).isEqualTo(3);
    // 160 hours are 30 away, at 3 a day.
    assertThat(finding.due("a").dueDate().value()).contains(TODAY.plusDays(10));
    assertThat(finding.due("a").dueHours()).hasValue(160);
    assertThat(finding.due("b").dueDate().value()).contains(TODAY.plusDays(4));
    assertThat(finding.verdict()).isEqualTo(Verdict.WITHIN);
  }

  @Test
  void thePaceIsTheMedianOfAllPairsOfTheLastNinetyDays() {
    List<CounterReading> counter =
        List.of(
            counted(91, 0), counted(90, 500), counted(60, 560), counted(30, 680), counted(0, 710));
    // 2, 4, 1, 3, 2.5, 70/30 (of 90 to 0: 210/90).
    assertThat(solve(counter, task("a", 9, 0, 0, -1)).hoursPerDay().getAsDouble())
        .isEqualTo((210.0 / 90 + 2.5) / 2, within(1e-12));
    List<CounterReading> shuffled = new ArrayList<>(counter);
    Collections.shuffle(shuffled, new Random(3));
    assertThat(solve(shuffled, task("a", 9, 0, 0, -1)).hoursPerDay())
        .isEqualTo(solve(counter, task("a", 9, 0, 0, -1)).hoursPerDay());
  }

  @Test
  void hoursWaitForACounterThatTellsThem() {
    for (List<CounterReading> counter :
        List.of(
            List.<CounterReading>of(),
            List.of(counted(0, 20)),
            List.of(counted(200, 3), counted(0, 20)),
            List.of(counted(5, 20), counted(0, 20)))) {
      UpkeepFinding finding = solve(counter, task("a", 0, 10, 9, 5), task("b", 3, 10, 9, 5));
      assertThat(finding.due("a").dueDate().value()).isEmpty();
      assertThat(finding.due("b").overdueDays()).isEqualTo(6);
      assertThat(finding.verdict()).isEqualTo(Verdict.MEASURE_AGAIN);
      assertThat(finding.warnings()).isNotEmpty();
      assertThat(finding.visits()).allSatisfy(v -> assertThat(v.tasks()).containsExactly("b"));
    }
  }

  @Test
  void whatIsOfLessThanADayComesOnceADay() {
    UpkeepFinding finding = solve(List.of(), task("a", 0.5, 0, 0, -1, Found.DIRTY));
    assertThat(finding.visits()).hasSize(91);
  }

  @Test
  void aCounterThatRunsBackwardsIsRefused() {
    assertThatThrownBy(
            () -> solve(List.of(counted(0, 90), counted(3, 100)), task("a", 9, 0, 0, -1)))
        .isInstanceOf(UnusableReading.class)
        .hasMessageContaining("counter[0].hours")
        .hasMessageContaining("100");
  }

  @Test
  void whatCannotBeIsRefusedByName() {
    assertThatThrownBy(() -> solve(List.of(), task("a", 0, 0, 0, -1)))
        .hasMessageContaining("tasks[0].everyDays");
    assertThatThrownBy(() -> solve(List.of(), task("a", 5, 0, -1, -1)))
        .hasMessageContaining("tasks[0].lastDate");
    assertThatThrownBy(() -> solve(List.of(counted(-1, 4)), task("a", 5, 0, 1, -1)))
        .hasMessageContaining("counter[0].date");
    assertThatThrownBy(() -> solve(List.of(), task("a", 5, 0, 1, -1), task("a", 5, 0, 1, -1)))
        .hasMessageContaining("\"a\" twice");
    assertThatThrownBy(() -> solve(List.of())).hasMessageContaining("tasks");
    assertThatThrownBy(() -> solve(List.of(), task("a", -1, Double.NaN, 1, -1, Found.CLEAN)))
        .isInstanceOf(UnusableReading.class);
  }

  /**
   * A plain scheduler that shares nothing with the solver: it goes from day to day and asks of each
   * task whether its turn has come, with exact decimals.
   */
  private static final class Plain {
    private final LocalDate counted;
    private final BigDecimal hoursThen;
    private final BigDecimal pace;
    private final List<Item> items = new ArrayList<>();

    private static final class Item {
      private String id;
      private BigDecimal days;
      private BigDecimal hours;
      private LocalDate done;
      private BigDecimal runsOut;
    }

    Plain(UpkeepReadings r, BigDecimal pace) {
      CounterReading last =
          r.counter().stream().max(Comparator.comparing(CounterReading::date)).orElseThrow();
      counted = last.date();
      hoursThen = BigDecimal.valueOf(last.hours());
      this.pace = pace;
      for (Task task : r.tasks()) {
        Item item = new Item();
        item.id = task.id();
        item.done = task.lastDate();
        if (task.everyDays().isPresent()) {
          item.days = adapted(task.everyDays().getAsDouble(), task.found());
        }
        if (task.everyHours().isPresent()) {
          item.hours = adapted(task.everyHours().getAsDouble(), task.found());
          if (task.lastHours().isPresent()) {
            item.runsOut = BigDecimal.valueOf(task.lastHours().getAsDouble()).add(item.hours);
          }
        }
        items.add(item);
      }
    }

    private static BigDecimal adapted(double given, List<Found> found) {
      BigDecimal g = BigDecimal.valueOf(given);
      BigDecimal now = g;
      for (Found f : found) {
        String by = f == Found.CLEAN ? "1.15" : f == Found.DIRTY ? "0.7" : "1";
        now = now.multiply(new BigDecimal(by)).max(g.multiply(new BigDecimal("0.5")));
        now = now.min(g.multiply(BigDecimal.TWO));
      }
      return now;
    }

    private BigDecimal counterOn(LocalDate day) {
      return hoursThen.add(pace.multiply(new BigDecimal(ChronoUnit.DAYS.between(counted, day))));
    }

    /** A day on which it is due: the next one would be too late. */
    private boolean due(Item item, LocalDate day) {
      boolean byDays =
          item.days != null
              && new BigDecimal(ChronoUnit.DAYS.between(item.done, day.plusDays(1)))
                      .compareTo(item.days)
                  > 0;
      boolean byHours =
          item.runsOut != null
              && pace.signum() > 0
              && counterOn(day.plusDays(1)).compareTo(item.runsOut) > 0;
      return byDays || byHours;
    }

    Map<LocalDate, List<String>> visits(LocalDate today) {
      Map<LocalDate, List<String>> visits = new TreeMap<>();
      for (LocalDate day = today; !day.isAfter(today.plusDays(90)); day = day.plusDays(1)) {
        LocalDate on = day;
        if (items.stream().anyMatch(i -> due(i, on))) {
          List<Item> together = items.stream().filter(i -> due(i, on.plusDays(7))).toList();
          visits.put(on, together.stream().map(i -> i.id).toList());
          for (Item item : together) {
            item.done = on;
            item.runsOut = item.hours == null ? null : counterOn(on).add(item.hours);
          }
        }
      }
      return visits;
    }
  }

  @Test
  void noDueTaskIsMissed() {
    Random random = new Random(7);
    for (int trial = 0; trial < Integer.getInteger("upkeep.sets", 2000); trial++) {
      agreesWithThePlainScheduler(random);
    }
  }

  private static void agreesWithThePlainScheduler(Random random) {
    BigDecimal pace = BigDecimal.valueOf(random.nextInt(1, 40), 1);
    List<CounterReading> counter = new ArrayList<>();
    int first = random.nextInt(2, 80);
    int readings = random.nextInt(2, 6);
    int latest = random.nextInt(0, 2);
    for (int i = 0; i < readings; i++) {
      int ago = i == 0 ? first : i == 1 ? latest : random.nextInt(latest, first + 1);
      BigDecimal hours = pace.multiply(new BigDecimal(first - ago)).add(new BigDecimal(800));
      counter.add(counted(ago, hours.doubleValue()));
    }
    List<Task> tasks = new ArrayList<>();
    for (int i = 0; i < random.nextInt(1, 14); i++) {
      double days = random.nextInt(3) == 0 ? 0 : random.nextInt(2, 120);
      double hours = days == 0 || random.nextBoolean() ? random.nextInt(4, 300) : 0;
      Found[] found = new Found[random.nextInt(0, 7)];
      for (int k = 0; k < found.length; k++) {
        found[k] = Found.values()[random.nextInt(3)];
      }
      tasks.add(
          task("t" + i, days, hours, random.nextInt(0, 150), 780 + random.nextInt(20), found));
    }
    UpkeepReadings readings1 = new UpkeepReadings(TODAY, counter, tasks);
    Map<LocalDate, List<String>> planned = new LinkedHashMap<>();
    Upkeep.solve(readings1).visits().forEach(v -> planned.put(v.date(), v.tasks()));
    assertThat(planned).isEqualTo(new Plain(readings1, pace).visits(TODAY));
  }
}
