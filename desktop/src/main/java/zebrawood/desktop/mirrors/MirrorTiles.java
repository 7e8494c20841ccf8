package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.mirrors.Lost;
import zebrawood.mirrors.MirrorVisitFinding;
import zebrawood.mirrors.MirrorVisitReadings;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** The figures of the mirrors that decide. */
final class MirrorTiles {
  private MirrorTiles() {}

  /** Wander now and after the turns, what is lost, and what no turn cures. */
  static List<FigureTile> of(
      Outcome.Solved<MirrorVisitReadings, MirrorVisitFinding> solved, OptionalDouble toleranceMm) {
    MirrorVisitFinding judged = solved.finding();
    List<FigureTile> tiles = new ArrayList<>();
    judged
        .alignment()
        .ifPresent(f -> {
          tiles.add(wander("mirrors.tile.now", f.wanderNowMm(), toleranceMm));
          tiles.add(wander("mirrors.tile.after", f.wanderAfterRoundedMm(), toleranceMm));
        });
    judged
        .quick()
        .ifPresent(f ->
            f.wanderNowMm()
                .ifPresent(mm -> tiles.add(wander("mirrors.tile.now", mm, toleranceMm))));
    judged.lost().stream()
        .max(Comparator.comparing(Lost::share))
        .ifPresent(lost ->
            tiles.add(
                FigureTile.of(
                        Message.of("mirrors.tile.lost"),
                        Amount.of(100 * lost.share(), Quantity.PERCENT, 1))
                    .judged(
                        !lost.scorches(),
                        Message.of(
                            !lost.scorches() ? "mirrors.tile.clears" : "mirrors.tile.scorches"))));
    judged
        .alignment()
        .ifPresent(f ->
            tiles.add(
                FigureTile.of(Message.of("mirrors.figure.misfit"), mm(f.residualRmsMm(), 2))));
    judged
        .plumb()
        .ifPresent(p ->
            tiles.add(
                FigureTile.of(Message.of("mirrors.figure.lean"), mm(p.edgeLeanMm().value(), 2))
                    .uncertain(mm(p.edgeLeanMm().uncertainty(), 2))));
    return tiles;
  }

  private static FigureTile wander(String key, double value, OptionalDouble toleranceMm) {
    FigureTile tile = FigureTile.of(Message.of(key), mm(value, 1));
    return toleranceMm.isPresent() ? tile.limited(mm(toleranceMm.getAsDouble(), 1)) : tile;
  }

  private static Amount mm(double value, int decimals) {
    return Amount.of(value, Quantity.LENGTH, decimals);
  }
}
