package zebrawood.cards;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Accepts;

/** How a visit to the cards was made. */
public sealed interface CardsTask {
  /** The squares of the card that was burnt. */
  CardGrid grid();

  /**
   * What a card of known darkness is read for.
   *
   * @param wantedDarkness empty while nobody pointed at a look
   * @param mayDiffer empty where any difference will do
   * @param kept the card that it is compared with; empty where a setting is looked for
   * @param control a square burnt now on the batch of the kept card; empty where nobody burnt one
   */
  record ReadFor(
      OptionalDouble wantedDarkness,
      OptionalDouble mayDiffer,
      Optional<List<CardSample>> kept,
      Optional<CardSample> control) {
    public ReadFor {
      kept = kept.map(List::copyOf);
      control.ifPresent(c -> {
        var accepts = new Accepts();
        CardChooseReadings.check(accepts, "control", List.of(c));
        accepts.orThrow();
      });
    }
  }

  /** A scan of a card. */
  record ByScan(CardGrid grid, CardScanReadings scan, ReadFor what) implements CardsTask {}

  /**
   * Darkness read by something else and typed.
   *
   * @param rows a row for each speed, from the front; each with one for every power from the left
   * @param resolution what is told apart
   */
  record ByFigures(CardGrid grid, List<List<Double>> rows, double resolution, ReadFor what)
      implements CardsTask {
    public ByFigures {
      rows = rows.stream().map(List::copyOf).toList();
      var accepts = new Accepts().positive("resolution", resolution, 1);
      eachSquare(accepts, grid, rows, CardChooseReadings.LIGHTEST, 1);
      accepts.orThrow();
    }
  }

  /** A figure for each square, each within what is accepted. */
  private static void eachSquare(
      Accepts accepts, CardGrid grid, List<List<Double>> rows, double least, double most) {
    grid.checkRows(accepts, rows);
    for (int i = 0; i < rows.size(); i++) {
      for (double figure : rows.get(i)) {
        accepts.between("rows[" + i + "]", figure, least, most);
      }
    }
  }

  /**
   * How deep each square went, by a probe or a caliper.
   *
   * @param rowsMm a row for each row of squares, from the front
   * @param resolutionMm what is told apart
   * @param wantedMm so deep at least
   */
  record ByDepth(CardGrid grid, List<List<Double>> rowsMm, double resolutionMm, double wantedMm)
      implements CardsTask {
    private static final double DEEPEST_MM = 1000;

    public ByDepth {
      rowsMm = rowsMm.stream().map(List::copyOf).toList();
      var accepts =
          new Accepts()
              .positive("resolutionMm", resolutionMm, DEEPEST_MM)
              .positive("wantedMm", wantedMm, DEEPEST_MM);
      eachSquare(accepts, grid, rowsMm, 0, DEEPEST_MM);
      accepts.orThrow();
    }
  }

  /** A card judged by eye. */
  record ByEye(CardGrades grades) implements CardsTask {
    @Override
    public CardGrid grid() {
      return grades.grid();
    }
  }

  /** One burn, good or spoilt. */
  record Tried(Trial trial) implements CardsTask {
    @Override
    public CardGrid grid() {
      return new CardGrid(List.of(trial.percent()), List.of(trial.speedMmS()), trial.intervalMm());
    }
  }
}
