package zebrawood.desktop.sample;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import zebrawood.ledger.Doubt;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.ledger.SubjectKind;
import zebrawood.measure.Accepts;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.station.Visit;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** What a small station has in the core and in the devices: is a burned line of one width? */
final class Widths {
  static final Station STATION =
      new Station(
          "sample",
          Phase.PROVE_THE_WORK,
          machine -> true,
          Set.of("bed"),
          Map.of(EventKind.CRASH, Doubt.READ_AGAIN),
          180,
          5,
          Optional.of(SubjectKind.LENS));

  private Widths() {}

  record Readings(double leftMm, double middleMm, double rightMm) {
    Readings {
      new Accepts()
          .positive("leftMm", leftMm, 5)
          .positive("middleMm", middleMm, 5)
          .positive("rightMm", rightMm, 5)
          .orThrow();
    }
  }

  static final Visit<Readings, Found> VISIT =
      Visit.of(Readings.class, Found.class, Widths::solve, Widths::figures).saying(Widths::said);

  record Found(double leanMm, Verdict verdict, List<Advice> advice, List<Message> warnings)
      implements Finding {}

  static final double LIMIT_MM = 0.05;

  static Found solve(Readings r) {
    double lean = r.rightMm - r.leftMm;
    boolean even = Math.abs(lean) <= LIMIT_MM;
    return new Found(
        lean,
        even ? Verdict.WITHIN : Verdict.ADJUST,
        List.of(
            even
                ? Advice.leave("sample.leave")
                : Advice.act("sample.lean", Amount.of(lean, Quantity.LENGTH, 2))),
        List.of());
  }

  private static List<Figure> figures(Readings read, Found found) {
    return List.of(Figure.of("lean", Math.abs(found.leanMm()), Quantity.LENGTH).limited(LIMIT_MM));
  }

  private static List<Message> said(Readings read, Found found) {
    return List.of(
        Message.of("sample.summary", Amount.of(Math.abs(found.leanMm()), Quantity.LENGTH, 2)));
  }

  /** A head that leans by an amount nobody sees. */
  static final class StandIn {
    private final Random random;
    private double leanMm;

    StandIn(long number) {
      random = new Random(number);
      leanMm = 0.2 + 0.2 * random.nextDouble();
    }

    /** Width of the line at -1 (left), 0 or 1 (right), read to a hundredth. */
    double widthMm(int side) {
      return Math.round((0.4 + side * leanMm / 2 + 0.004 * random.nextGaussian()) * 100) / 100.0;
    }

    void leanBack(double byMm) {
      leanMm -= byMm;
    }
  }
}
