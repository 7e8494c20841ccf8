package zebrawood.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

class TwoDaysTest {
  private static final Instant DAY = Instant.parse("2026-03-01T09:00:00Z");
  private static final Machine MACHINE =
      new Machine(
          "m",
          "Alder",
          Build.GANTRY_WITH_MIRRORS,
          new Source(SourceKind.CO2_GLASS_TUBE, 90, 10_600),
          700,
          500,
          BedSupport.SCREWS,
          0.3);
  private static final Station BED =
      new Station(
          "bed",
          Phase.AIM_THE_BEAM,
          m -> true,
          Set.of(),
          Map.of(EventKind.MOVED, Doubt.READ_AGAIN),
          100,
          10);
  private static final Station FOCUS =
      new Station("focus", Phase.AIM_THE_BEAM, m -> true, Set.of("bed"), Map.of(), 100, 10);
  private static final Station CARDS =
      new Station(
          "cards",
          Phase.PROVE_THE_WORK,
          m -> true,
          Set.of(),
          Map.of(),
          100,
          10,
          Optional.of(SubjectKind.STOCK));
  private static final Station SITE =
      new Station("site", Phase.MAKE_READY, m -> true, Set.of(), Map.of(), 100, 10);
  private static final List<Station> ALL = List.of(SITE, BED, FOCUS, CARDS);

  private final List<Recorded> history = new ArrayList<>();

  private static Instant on(double days) {
    return DAY.plus(Duration.ofMinutes(Math.round(days * 24 * 60)));
  }

  private void entry(Station station, double days, Optional<String> subject, Figure... figures) {
    history.add(
        new Entry(
            "e" + history.size(),
            "m",
            station.id(),
            subject,
            EntryKind.AS_LEFT,
            on(days),
            on(days),
            "EH",
            Message.NONE,
            "",
            "",
            Verdict.WITHIN,
            List.of(figures),
            Optional.empty()));
  }

  private void event(EventKind kind, double days, Optional<String> subject) {
    history.add(
        new Event(
            "v" + history.size(),
            "m",
            kind,
            on(days),
            on(days),
            "EH",
            "",
            subject,
            List.of(),
            Optional.empty()));
  }

  private static Figure mm(String id, double value, double uncertainty) {
    return Figure.of(id, value, Quantity.LENGTH).uncertain(uncertainty);
  }

  private TwoDays compared(double one, double other) {
    return TwoDays.of(new Ledger(MACHINE, history), ALL, on(one), on(other));
  }

  @Test
  void whatWasPutInDoubtComesBeforeWhatChangedALittle() {
    entry(BED, 1, Optional.empty(), mm("flat", 0.2, 0.02).limited(OptionalDouble.of(0.3)));
    entry(FOCUS, 1, Optional.empty(), mm("gap", 6.5, 0.01), mm("depth", 0.8, 0.05));
    event(EventKind.STOCK_TAKEN, 1, Optional.of("laminate, batch 0398"));
    entry(CARDS, 1, Optional.of("laminate, batch 0398"), mm("percent", 34, 0));
    event(EventKind.MOVED, 3, Optional.empty());
    event(EventKind.STOCK_TAKEN, 4, Optional.of("laminate, batch 0412"));
    entry(FOCUS, 5, Optional.empty(), mm("gap", 6.42, 0.01), mm("depth", 0.8, 0.05));
    TwoDays days = compared(2, 6);
    assertThat(days.differs().stream().map(TwoDays.Line::why))
        .containsExactly(TwoDays.Why.IN_DOUBT, TwoDays.Why.OTHER_SUBJECT, TwoDays.Why.LITTLE);
    TwoDays.Line gap = days.differs().getLast();
    assertThat(gap.station()).isEqualTo(FOCUS);
    assertThat(gap.shareOfAllowed().orElseThrow()).isBetween(0.099, 0.101);
    assertThat(days.differs().getFirst().station()).isEqualTo(BED);
    // The bed's telling figure is told with the bed as a whole.
    assertThat(days.same().stream().map(l -> l.figureId().orElse(""))).containsExactly("depth");
    assertThat(days.neverRead()).containsExactly(SITE);
    assertThat(days.between()).hasSize(2);
  }

  @Test
  void aChangeWithinBothReadingsIsTheSame() {
    entry(BED, 1, Optional.empty(), mm("flat", 0.2, 0.03));
    entry(BED, 3, Optional.empty(), mm("flat", 0.25, 0.03));
    assertThat(compared(2, 4).differs()).isEmpty();
    entry(BED, 5, Optional.empty(), mm("flat", 0.5, 0.03).limited(OptionalDouble.of(0.3)));
    TwoDays days = compared(2, 6);
    assertThat(days.differs()).hasSize(1);
    assertThat(days.differs().getFirst().why()).isEqualTo(TwoDays.Why.OVER_LIMIT);
    // Backwards the same two days differ in the same figure.
    assertThat(compared(6, 2).differs()).hasSize(1);
  }

  @Test
  void whatIsReadForTheFirstTimeInBetweenIsNew() {
    entry(SITE, 3, Optional.empty(), mm("duct", 5, 0.1));
    assertThat(compared(2, 4).differs().getFirst().why()).isEqualTo(TwoDays.Why.NEW);
    assertThat(compared(1, 2).neverRead()).contains(SITE);
  }
}
