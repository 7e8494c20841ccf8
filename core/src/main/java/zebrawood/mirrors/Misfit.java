package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.measure.Estimate;
import zebrawood.measure.LinearFit;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.mirrors.Suspicion.Kind;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * Marks that no set of angles makes: what pattern do they have, and what would decide?
 *
 * <p>Asked only when the fit fails. Two marks at one place that disagree are a loose mount. A last
 * mirror that turns or tips evenly with the gantry's travel adds an angle that grows with it: one
 * column more, travel times the path from that mirror, in one axis only. One mark read or burnt
 * wrongly leaves the others to fit. What explains the marks best is named, where it explains them.
 */
final class Misfit {
  /** Well above the reading error, and enough to matter: something is loose or bent. */
  private static final double SUSPICIOUS = 2.5;

  private static final double MATTERS_SHARE = 1 / 8.0;

  /** An explanation brings the misfit down to nearly the reading error, */
  private static final double EXPLAINED = 2;

  /** or, where a hand reads worse than the tape's step, to this share of what it was. */
  private static final double EXPLAINED_SHARE = 1 / 8.0;

  /** Two marks at one place are read alike to a step each, and to the hand. */
  private static final double DISAGREE_STEPS = 3;

  /** And what it adds is no chance. */
  private static final double SURE = 4;

  private final MirrorReadings readings;
  private final AxisColumns columns;
  private final double explained;

  private Misfit(MirrorReadings readings, AxisColumns columns, LinearFit fit) {
    this.readings = readings;
    this.columns = columns;
    explained = Math.max(EXPLAINED * EXPLAINED, EXPLAINED_SHARE * reduced(fit));
  }

  /** A pattern, and how well it explains the marks. */
  private record Candidate(Suspicion suspicion, double reduced) {}

  static Optional<Suspicion> of(MirrorReadings readings, AxisColumns columns, LinearFit fit) {
    if (fit.degreesOfFreedom() == 0
        || reduced(fit) <= SUSPICIOUS * SUSPICIOUS
        || rmsMm(fit) < MATTERS_SHARE * readings.toleranceMm()) {
      return Optional.empty();
    }
    Misfit misfit = new Misfit(readings, columns, fit);
    Optional<Suspicion> loose = misfit.loose();
    if (loose.isPresent()) {
      return loose;
    }
    // Over four corners an angle that grows and one odd mark differ only in that the odd mark is
    // off in both axes: what needs one axis only is asked first.
    return Stream.of(
            misfit.grows(AxisColumns.KEEPS, Kind.TWISTED_RAIL),
            misfit.grows(AxisColumns.SWAPS, Kind.UNSQUARE_GANTRY))
        .flatMap(Optional::stream)
        .min(Comparator.comparingDouble(Candidate::reduced))
        .or(misfit::oneMark)
        .map(Candidate::suspicion)
        .or(() ->
            Optional.of(new Suspicion(Kind.NOT_NAMED, Message.of("mirrors.misfit.not-named"))));
  }

  /** Root mean square misfit over all marks and both axes. */
  static double rmsMm(LinearFit fit) {
    return Math.sqrt(
        fit.residuals().stream().mapToDouble(r -> r * r).sum() / fit.residuals().size());
  }

  /** The mark that is furthest from where the angles would have it, and how far, in words. */
  static Message worst(List<Mark> marks, LinearFit fit) {
    int n = marks.size();
    int worst = 0;
    double furthest = 0;
    for (int i = 0; i < n; i++) {
      double off = Math.hypot(fit.residuals().get(i), fit.residuals().get(n + i));
      if (off > furthest) {
        furthest = off;
        worst = i;
      }
    }
    return Message.of("mirrors.misfit.worst", Amount.mm(furthest, 2), named(marks.get(worst)));
  }

  private static Message named(Mark mark) {
    return Message.of(
        "mirrors.misfit.read",
        mark.at().said(),
        Message.bare(Amount.plain(mark.rightMm(), Quantity.LENGTH)),
        Message.bare(Amount.plain(mark.upMm(), Quantity.LENGTH)));
  }

  private static double reduced(LinearFit fit) {
    return fit.chiSquare() / fit.degreesOfFreedom();
  }

  /** Marks that were burnt twice at one place, and fell apart. */
  private Optional<Suspicion> loose() {
    List<Mark> marks = readings.marks();
    double apart = 0;
    Mark where = marks.getFirst();
    for (int i = 0; i < marks.size(); i++) {
      for (int k = 0; k < i; k++) {
        double far =
            Math.hypot(
                marks.get(i).rightMm() - marks.get(k).rightMm(),
                marks.get(i).upMm() - marks.get(k).upMm());
        if (marks.get(i).samePlace(marks.get(k)) && far > apart) {
          apart = far;
          where = marks.get(i);
        }
      }
    }
    return apart > DISAGREE_STEPS * readings.markResolutionMm()
        ? Optional.of(
            new Suspicion(
                Kind.LOOSE_MOUNT,
                Message.of("mirrors.misfit.loose", where.at().said(), Amount.mm(apart, 1))))
        : Optional.empty();
  }

  private Optional<Candidate> grows(double axis, Kind kind) {
    int mirrors = columns.mirrors();
    if (mirrors < 2 || readings.marks().stream().noneMatch(m -> travel(m) > 0)) {
      return Optional.empty();
    }
    int u = columns.count();
    int n = readings.marks().size();
    if (2 * n <= 2 * u + 1) {
      return Optional.empty();
    }
    double[][] design = new double[2 * n][];
    double[] read = new double[2 * n];
    for (int i = 0; i < n; i++) {
      Mark mark = readings.marks().get(i);
      double extra = mark.atHead() ? travel(mark) * mark.metresFrom(mirrors) : 0;
      design[i] =
          row(columns.row(mark, AxisColumns.SWAPS), 0, axis == AxisColumns.SWAPS ? extra : 0);
      design[n + i] =
          row(columns.row(mark, AxisColumns.KEEPS), u, axis == AxisColumns.KEEPS ? extra : 0);
      read[i] = mark.rightMm();
      read[n + i] = mark.upMm();
    }
    LinearFit fit;
    try {
      fit = LinearFit.of(design, read, readings.markResolutionMm() / Math.sqrt(12));
    } catch (org.hipparchus.exception.MathIllegalArgumentException e) {
      // The marks are too alike to tell.
      return Optional.empty();
    }
    Estimate growth = fit.estimate(2 * u);
    boolean explains =
        reduced(fit) < explained && Math.abs(growth.value()) > SURE * growth.uncertainty();
    return explains
        ? Optional.of(new Candidate(new Suspicion(kind, said(kind, growth.value())), reduced(fit)))
        : Optional.empty();
  }

  /** How far the gantry is from the mirror before it, in metres. */
  private double travel(Mark mark) {
    int last = columns.mirrors();
    return mark.atHead() ? mark.metresFrom(last - 1) - mark.metresFrom(last) : 0;
  }

  private double[] row(double[] own, int at, double extra) {
    double[] row = new double[2 * columns.count() + 1];
    System.arraycopy(own, 0, row, at, own.length);
    row[row.length - 1] = extra;
    return row;
  }

  private Message said(Kind kind, double mradPerM) {
    double[] travels =
        readings.marks().stream().filter(Mark::atHead).mapToDouble(this::travel).toArray();
    double way =
        java.util.Arrays.stream(travels).max().orElse(0)
            - java.util.Arrays.stream(travels).min().orElse(0);
    Amount beam = Amount.of(Math.abs(mradPerM * way), Quantity.ANGLE, 1);
    // The beam turns twice as much as the mirror on the gantry, and tips by the root of 2.
    return kind == Kind.TWISTED_RAIL
        ? Message.of(
            "mirrors.misfit.twisted-rail",
            beam,
            Amount.mm(Math.abs(mradPerM * way) / Math.sqrt(2), 1))
        : Message.of(
            "mirrors.misfit.unsquare-gantry", beam, Amount.mm(Math.abs(mradPerM * way) / 2, 1));
  }

  private Optional<Candidate> oneMark() {
    List<Mark> marks = readings.marks();
    Optional<Candidate> best = Optional.empty();
    for (int i = 0; i < marks.size(); i++) {
      List<Mark> others = new ArrayList<>(marks);
      Mark odd = others.remove(i);
      if (!others.stream().anyMatch(Mark::atHead)
          || !MarksNeeded.determined(others, columns.mirrors())
          || others.size() <= AxisColumns.of(others, columns.mirrors()).count()) {
        continue;
      }
      LinearFit fit = Alignment.fit(others, AxisColumns.of(others, columns.mirrors()), readings);
      if (reduced(fit) < explained && best.filter(b -> b.reduced <= reduced(fit)).isEmpty()) {
        best = Optional.of(new Candidate(oddOne(odd), reduced(fit)));
      }
    }
    return best;
  }

  private static Suspicion oddOne(Mark odd) {
    return new Suspicion(Kind.ONE_MARK, Message.of("mirrors.misfit.one-mark", named(odd)));
  }
}
