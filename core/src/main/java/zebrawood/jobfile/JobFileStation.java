package zebrawood.jobfile;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.quantity.Quantity;
import zebrawood.station.Visit;

/** A look into a job file as the ledger knows it: only when somebody looks. */
public final class JobFileStation {
  private static final int MINUTES = 5;

  private JobFileStation() {}

  public static final Station STATION =
      new Station("jobfile", Phase.PROVE_THE_WORK, machine -> true, Set.of(), Map.of(), 0, MINUTES)
          .turning(Station.Turn.ON_CALL);

  public static final Visit<JobReadings, JobFinding> VISIT =
      Visit.of(
          JobReadings.class,
          JobFinding.class,
          JobCheck::solve,
          (r, f) -> {
            List<Figure> figures = new ArrayList<>();
            figures.add(Figure.of("problems", f.problems().size(), Quantity.NUMBER));
            r.look()
                .topWord()
                .ifPresent(w -> figures.add(Figure.of("topWord", w, Quantity.NUMBER)));
            f.seconds().ifPresent(s -> figures.add(Figure.of("seconds", s, Quantity.TIME)));
            return figures;
          });
}
