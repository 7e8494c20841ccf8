package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import zebrawood.desktop.sheet.FigureTile;
import zebrawood.desktop.sheet.Outcome;
import zebrawood.mirrors.MirrorVisit;
import zebrawood.mirrors.MirrorVisit.Judged;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A mirrors finding in sentences. */
final class MirrorSummary {
  /** The dot's slope is told for so much height. */
  private static final double HEIGHT_MM = 10;

  private MirrorSummary() {}

  /** Wander now and after the turns, what is lost, and what no turn cures. */
  static List<FigureTile> tiles(
      Outcome.Found<MirrorVisit, Judged> found, OptionalDouble toleranceMm) {
    Judged judged = found.finding();
    List<FigureTile> tiles = new ArrayList<>();
    judged
        .alignment()
        .ifPresent(f -> {
          tiles.add(wander("mirrors.tile.now", f.wanderNowMm(), toleranceMm));
          tiles.add(wander("mirrors.tile.after", f.wanderAfterRoundedMm(), toleranceMm));
        });
    judged
        .quick()
        .ifPresent(f -> tiles.add(wander("mirrors.tile.now", f.wanderNowMm(), toleranceMm)));
    judged.lost().stream()
        .max(Comparator.comparing(MirrorVisit.Lost::share))
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
                FigureTile.of(Message.of("mirrors.figure.lean"), mm(p.edgeLeanMm(), 2))
                    .uncertain(mm(p.edgeLeanMmUncertainty(), 2))));
    return tiles;
  }

  private static FigureTile wander(String key, double value, OptionalDouble toleranceMm) {
    FigureTile tile = FigureTile.of(Message.of(key), mm(value, 1));
    return toleranceMm.isPresent() ? tile.limited(mm(toleranceMm.getAsDouble(), 1)) : tile;
  }

  static List<Message> of(Judged judged) {
    List<Message> sentences = new ArrayList<>();
    judged
        .alignment()
        .ifPresent(f -> {
          sentences.add(
              Message.of(
                  "mirrors.summary.wander",
                  mm(f.wanderNowMm(), 1),
                  mm(f.wanderAfterMm(), 1),
                  mm(f.wanderAfterRoundedMm(), 1)));
          f.mirrors()
              .forEach((name, m) ->
                  sentences.add(
                      Message.of(
                          "mirrors.summary.angle",
                          name,
                          mrad(m.beamErrorRightMrad()),
                          mrad(m.beamErrorRightMradUncertainty()),
                          mrad(m.beamErrorUpMrad()),
                          Amount.of(m.beamErrorUpMradUncertainty(), Quantity.ANGLE, 1))));
        });
    judged
        .quick()
        .ifPresent(f -> sentences.add(Message.of("mirrors.summary.quick", mm(f.wanderNowMm(), 1))));
    judged
        .lost()
        .forEach(lost ->
            sentences.add(
                Message.of(
                    "mirrors.summary.lost",
                    lost.where(),
                    Amount.of(100 * lost.share(), Quantity.PERCENT, 1))));
    judged
        .plumb()
        .ifPresent(p ->
            sentences.add(
                Message.of(
                    "mirrors.summary.plumb",
                    mrad(p.rightMrad()),
                    mrad(p.rearMrad()),
                    Amount.of(p.rightMradUncertainty(), Quantity.ANGLE, 1),
                    Message.bare(mm(p.edgeLeanMm(), 2)),
                    mm(p.edgeLeanMmUncertainty(), 2))));
    judged
        .pointer()
        .ifPresent(p ->
            sentences.add(
                Message.of(
                    "mirrors.summary.pointer",
                    Message.bare(mm(p.offsetMm(), 1)),
                    mm(p.offsetMmUncertainty(), 1),
                    Message.bare(mm(HEIGHT_MM * p.slopeMmPerMm(), 2)),
                    mm(HEIGHT_MM * p.slopeMmPerMmUncertainty(), 2),
                    mm(HEIGHT_MM, 0))));
    return sentences;
  }

  private static Amount mm(double value, int decimals) {
    return Amount.of(value, Quantity.LENGTH, decimals);
  }

  private static Message mrad(double value) {
    return Message.bare(Amount.of(value, Quantity.ANGLE, 1));
  }
}
