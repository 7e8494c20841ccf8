package zebrawood.rotary;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.ledger.SubjectKind;
import zebrawood.machine.Fitting;
import zebrawood.quantity.Quantity;
import zebrawood.station.Visit;

/** The rotary as the ledger knows it: where one is fitted, and only when work is put in it. */
public final class RotaryStation {
  private static final int MINUTES = 20;

  private RotaryStation() {}

  public static final Station STATION =
      new Station(
              "rotary",
              Phase.PROVE_THE_WORK,
              machine -> machine.has(Fitting.ROTARY),
              Set.of(),
              Map.of(),
              0,
              MINUTES,
              Optional.of(SubjectKind.WORK))
          .turning(Station.Turn.ON_CALL);

  public static final Visit<RotaryReadings, RotaryFinding> VISIT =
      Visit.of(
          RotaryReadings.class,
          RotaryFinding.class,
          Rotary::solve,
          (r, f) -> {
            List<Figure> figures = new ArrayList<>();
            figures.add(Figure.of("stepsPerMm", f.stepsPerMm(), Quantity.NUMBER));
            figures.add(Figure.of("seam", f.seamMm(), Quantity.LENGTH));
            figures.add(Figure.of("strip", f.stripMm(), Quantity.LENGTH));
            f.changeFactor().ifPresent(c -> figures.add(Figure.of("factor", c, Quantity.NUMBER)));
            return figures;
          });
}
