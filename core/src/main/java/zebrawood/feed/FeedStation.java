package zebrawood.feed;

import java.util.List;
import java.util.Map;
import java.util.Set;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.quantity.Quantity;
import zebrawood.station.Visit;

/** Passing through as the ledger knows it: only when a long piece is. */
public final class FeedStation {
  private static final int MINUTES = 15;

  private FeedStation() {}

  public static final Station STATION =
      new Station(
              "feed",
              Phase.PROVE_THE_WORK,
              machine -> machine.build().headTravels(),
              Set.of(),
              Map.of(),
              0,
              MINUTES)
          .turning(Station.Turn.ON_CALL);

  public static final Visit<FeedReadings, FeedFinding> VISIT =
      Visit.of(
          FeedReadings.class,
          FeedFinding.class,
          FeedFit::solve,
          (r, f) ->
              List.of(
                  Figure.of("splice", f.spliceErrorMm(), Quantity.LENGTH),
                  Figure.of("last", f.lastErrorMm(), Quantity.LENGTH),
                  Figure.of("command", f.feedMm(), Quantity.LENGTH),
                  Figure.of("scale", f.scale(), Quantity.NUMBER)));
}
