package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.List;
import zebrawood.mirrors.MirrorVisit.Judged;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A mirrors finding in sentences. */
final class MirrorSummary {
  /** The dot's slope is told for so much height. */
  private static final double HEIGHT_MM = 10;

  private MirrorSummary() {}

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
