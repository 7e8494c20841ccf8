package zebrawood.ledger;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SequencedMap;

/**
 * Two moments of one machine's record side by side: it worked on the one and does not on the other.
 *
 * <p>What changed comes first, the likeliest at the top: a station that was found out, then one
 * that something put in doubt in between, then another stock or lens, then figures that changed by
 * more than both readings leave open, those nearest to their limits first. What was read on neither
 * day is told too: nobody knows it.
 *
 * @param differs the likeliest first
 * @param neverRead stations that were read before neither moment
 * @param between what happened in between, oldest first
 */
public record TwoDays(
    Instant one,
    Instant other,
    List<Line> differs,
    List<Line> same,
    List<Station> neverRead,
    List<Event> between) {
  /** Figures are told apart where they differ by so many of both readings' deviations. */
  private static final double BEYOND = 2;

  /** Of a limit or of the depth of focus: a change by less explains little. */
  private static final double LITTLE = 0.25;

  /** Of the figure itself, where nothing tells how much of it is allowed. */
  private static final double OF_ITSELF = 0.05;

  public TwoDays {
    differs = List.copyOf(differs);
    same = List.copyOf(same);
    neverRead = List.copyOf(neverRead);
    between = List.copyOf(between);
  }

  /** Why a line stands where it stands. */
  public enum Why {
    /** The station was found out of its limit. */
    OUT,
    /** Something happened in between that puts it in doubt, and it was not read again. */
    IN_DOUBT,
    /** Another stock, lens or the like. */
    OTHER_SUBJECT,
    /** It was read for the first time in between. */
    NEW,
    /** The figure is over its limit. */
    OVER_LIMIT,
    /** It changed, by more than both readings leave open. */
    CHANGED,
    /**
     * It changed by so much of what is allowed, or of the depth of focus, that it explains little.
     */
    LITTLE,
    SAME
  }

  /**
   * One figure, or a station as a whole.
   *
   * @param figureId empty where the station as a whole is meant
   * @param subjects what it was of on either day, where they differ
   * @param shareOfAllowed by how much of its limit, or of the depth of focus, it changed; empty
   *     where neither is known
   */
  public record Line(
      Station station,
      Optional<String> figureId,
      Optional<Figure> before,
      Optional<Figure> after,
      Standing standing,
      List<Optional<String>> subjects,
      Optional<Double> shareOfAllowed,
      Why why) {
    public Line {
      subjects = List.copyOf(subjects);
    }

    private double weight() {
      double share = Math.min(1, shareOfAllowed.orElse(0.5));
      return switch (why) {
        case OUT -> 100;
        case IN_DOUBT -> 80;
        case OTHER_SUBJECT -> 70;
        case OVER_LIMIT -> 60 + share;
        case CHANGED -> 40 + 10 * share;
        case NEW -> 30;
        case LITTLE -> 10 + share;
        case SAME -> 0;
      };
    }
  }

  /**
   * @param stations in the order of the work
   */
  public static TwoDays of(Ledger ledger, List<Station> stations, Instant one, Instant other) {
    Ledger then = ledger.asOf(one);
    Ledger now = ledger.asOf(other);
    SequencedMap<Station, Standing> standings = now.standings(stations, other);
    SequencedMap<Station, Standing> before = then.standings(stations, one);
    List<Line> differs = new ArrayList<>();
    List<Line> same = new ArrayList<>();
    List<Station> never = new ArrayList<>();
    // A case is about what differs, not one of the things that do.
    standings.keySet().removeIf(s -> s.turn() == Station.Turn.ON_CALL);
    standings.forEach((station, standing) -> {
      if (now.entriesAt(station).isEmpty() && then.entriesAt(station).isEmpty()) {
        never.add(station);
      } else {
        for (Line line : lines(station, standing, before.get(station), then, now)) {
          (line.why == Why.SAME ? same : differs).add(line);
        }
      }
    });
    differs.sort(Comparator.comparingDouble(l -> -l.weight()));
    Instant from = one.isBefore(other) ? one : other;
    Instant to = one.isBefore(other) ? other : one;
    List<Event> between =
        ledger.events().stream()
            .filter(e -> e.kind() != EventKind.WENT_ON)
            .filter(e -> ledger.timeOf(e).isAfter(from) && !ledger.timeOf(e).isAfter(to))
            .toList();
    return new TwoDays(one, other, differs, same, never, between);
  }

  private static List<Line> lines(
      Station station, Standing standing, Standing before, Ledger then, Ledger now) {
    List<Line> lines = new ArrayList<>();
    List<Optional<String>> subjects = List.of(then.subjectNow(station), now.subjectNow(station));
    boolean otherSubject =
        station.subject().isPresent() && !SubjectName.same(subjects.get(0), subjects.get(1));
    Optional<Why> whole =
        standing instanceof Standing.Out && !(before instanceof Standing.Out)
            ? Optional.of(Why.OUT)
            : standing instanceof Standing.Stale && !(before instanceof Standing.Stale)
                ? Optional.of(Why.IN_DOUBT)
                : otherSubject ? Optional.of(Why.OTHER_SUBJECT) : Optional.empty();
    Optional<Entry> was = lastRead(then, station);
    Optional<Entry> is = lastRead(now, station);
    whole.ifPresent(why ->
        lines.add(
            new Line(
                station,
                Optional.empty(),
                was.flatMap(Entry::tellingFigure),
                is.flatMap(Entry::tellingFigure),
                standing,
                subjects,
                Optional.empty(),
                why)));
    // How many days are left says nothing of what differs.
    if (otherSubject || station.turn() == Station.Turn.AS_READ) {
      return lines;
    }
    is.ifPresent(entry -> {
      // Of a station that is told as a whole its telling figure is told with it.
      int first = whole.isPresent() ? 1 : 0;
      for (Figure figure : entry.figures().subList(first, entry.figures().size())) {
        Optional<Figure> earlier = was.flatMap(e -> e.figure(figure.id()));
        lines.add(line(station, standing, subjects, earlier, figure, entry));
      }
    });
    return lines;
  }

  /** The last entry with figures, of what is fitted at that time. */
  private static Optional<Entry> lastRead(Ledger ledger, Station station) {
    return ledger.entriesOfFitted(station).reversed().stream()
        .filter(e -> e.tellingFigure().isPresent())
        .findFirst();
  }

  private static Line line(
      Station station,
      Standing standing,
      List<Optional<String>> subjects,
      Optional<Figure> before,
      Figure after,
      Entry entry) {
    Optional<Double> share = before.flatMap(b -> shareOfAllowed(b, after, entry));
    return new Line(
        station,
        Optional.of(after.id()),
        before,
        Optional.of(after),
        standing,
        subjects,
        share,
        why(before, after, share));
  }

  private static Why why(Optional<Figure> before, Figure after, Optional<Double> share) {
    if (before.isEmpty()) {
      return Why.NEW;
    }
    double off = Math.abs(after.value() - before.get().value());
    double unsure = Math.hypot(after.uncertainty().orElse(0), before.get().uncertainty().orElse(0));
    if (!before.get().unit().equals(after.unit()) || off <= BEYOND * unsure || off == 0) {
      return Why.SAME;
    }
    if (after.overLimit() && !before.get().overLimit()) {
      return Why.OVER_LIMIT;
    }
    boolean little =
        share.map(s -> s < LITTLE).orElse(off < OF_ITSELF * Math.abs(before.get().value()));
    return little ? Why.LITTLE : Why.CHANGED;
  }

  /** Of the depth of focus where the same reading tells it, else of the figure's own limit. */
  private static Optional<Double> shareOfAllowed(Figure before, Figure after, Entry entry) {
    double off = Math.abs(after.value() - before.value());
    Optional<Figure> depth =
        entry.figure("depth").filter(d -> d.unit().equals(after.unit()) && d.value() > 0);
    if (depth.isPresent() && !after.id().equals("depth")) {
      return Optional.of(off / depth.get().value());
    }
    return after.limit().isPresent() && after.limit().getAsDouble() > 0
        ? Optional.of(off / after.limit().getAsDouble())
        : Optional.empty();
  }
}
