package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a visit to the mirrors came to.
 *
 * @param alignment of the full set
 * @param untried screws that are to be turned and were never tried
 * @param lost now, at each place with a known size, for the mark that is furthest off
 */
public record MirrorVisitFinding(
    Optional<MirrorFinding> alignment,
    Optional<QuickCheck.Finding> quick,
    Optional<Plumb.Finding> plumb,
    Optional<RedDot.Finding> pointer,
    List<MountScrew> untried,
    List<Lost> lost,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {

  /** The dot's slope is told for so much height. */
  private static final double DOT_HEIGHT_MM = 10;

  /** Wander, angles, what is lost, plumb and red dot, in sentences. */
  public List<Message> said() {
    List<Message> said = new ArrayList<>();
    alignment.ifPresent(f -> {
      said.add(
          Message.of(
              "mirrors.summary.wander",
              Amount.mm(f.wanderNowMm(), 1),
              Amount.mm(f.wanderAfterMm(), 1),
              Amount.mm(f.wanderAfterRoundedMm(), 1)));
      f.mirrors()
          .forEach((name, m) ->
              said.add(
                  Message.of(
                      "mirrors.summary.angle",
                      name,
                      bare(m.beamErrorRightMrad().value()),
                      bare(m.beamErrorRightMrad().uncertainty()),
                      bare(m.beamErrorUpMrad().value()),
                      mrad(m.beamErrorUpMrad().uncertainty()))));
    });
    quick
        .map(QuickCheck.Finding::wanderNowMm)
        .filter(OptionalDouble::isPresent)
        .ifPresent(
            mm -> said.add(Message.of("mirrors.summary.quick", Amount.mm(mm.getAsDouble(), 1))));
    lost.forEach(l ->
        said.add(
            Message.of(
                "mirrors.summary.lost",
                l.where(),
                Amount.of(100 * l.share(), Quantity.PERCENT, 1))));
    plumb.ifPresent(p ->
        said.add(
            Message.of(
                "mirrors.summary.plumb",
                bare(p.rightMrad().value()),
                bare(p.rearMrad().value()),
                mrad(p.rightMrad().uncertainty()),
                Message.bare(Amount.mm(p.edgeLeanMm().value(), 2)),
                Amount.mm(p.edgeLeanMm().uncertainty(), 2))));
    pointer.ifPresent(p ->
        said.add(
            Message.of(
                "mirrors.summary.pointer",
                Message.bare(Amount.mm(p.offsetMm().value(), 1)),
                Amount.mm(p.offsetMm().uncertainty(), 1),
                Message.bare(Amount.mm(DOT_HEIGHT_MM * p.slopeMmPerMm().value(), 2)),
                Amount.mm(DOT_HEIGHT_MM * p.slopeMmPerMm().uncertainty(), 2),
                Amount.mm(DOT_HEIGHT_MM, 0))));
    return said;
  }

  private static Amount mrad(double value) {
    return Amount.of(value, Quantity.ANGLE, 1);
  }

  private static Message bare(double mrad) {
    return Message.bare(mrad(mrad));
  }
}
