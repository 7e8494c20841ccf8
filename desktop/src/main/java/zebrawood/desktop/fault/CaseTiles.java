package zebrawood.desktop.fault;

import java.util.ArrayList;
import java.util.List;
import zebrawood.desktop.station.FigureTile;
import zebrawood.fault.FaultFinding.Weighed;
import zebrawood.fault.FaultVisitFinding;
import zebrawood.fault.FaultVisitReadings;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** The figures of a case: what is likeliest, what was spent, what it will take. */
final class CaseTiles {
  private static final double PERCENT = 100;

  private CaseTiles() {}

  static List<FigureTile> of(FaultVisitReadings r, FaultVisitFinding f) {
    List<FigureTile> tiles = new ArrayList<>();
    f.found()
        .ifPresent(found -> {
          Weighed likeliest = found.likeliest();
          tiles.add(
              FigureTile.of(
                      Message.of("fault.figure.likeliest"),
                      Amount.of(Math.floor(PERCENT * likeliest.probability()), Quantity.PERCENT, 0))
                  .with(Message.of(likeliest.id())));
          int answers = r.answers().size();
          tiles.add(
              FigureTile.of(
                      Message.of("fault.figure.spent"),
                      Amount.of(found.minutesSpent(), Quantity.MINUTES, 0))
                  .with(Message.of("fault.tile.tests", answers)));
        });
    f.minutesToSure()
        .ifPresent(m ->
            tiles.add(
                FigureTile.of(Message.of("fault.tile.to-sure"), Amount.of(m, Quantity.MINUTES, 0))
                    .with(Message.of("fault.tile.expected"))));
    f.minutesInFixedOrder()
        .ifPresent(m ->
            tiles.add(
                FigureTile.of(Message.of("fault.tile.fixed"), Amount.of(m, Quantity.MINUTES, 0))
                    .with(Message.of("fault.tile.expected"))));
    return tiles;
  }
}
