package zebrawood.mirrors;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.machine.Train;
import zebrawood.mirrors.MirrorReadings.At;
import zebrawood.mirrors.MirrorReadings.Mark;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** What share of the beam falls beside the mirrors and the head's opening, and what scorches. */
final class Rims {
  /** Below this share nobody sees the edge of the opening scorch. */
  static final double SCORCHES = 0.01;

  private Rims() {}

  /** At each place where the size is known and a mark was burnt. */
  static List<Lost> lost(MirrorVisitReadings visit) {
    List<Lost> lost = new ArrayList<>();
    if (visit.beamMm().isEmpty()) {
      return lost;
    }
    double beam = visit.beamMm().getAsDouble();
    visit
        .faceMm()
        .ifPresent(faceMm -> {
          Train train = visit.full().map(MirrorReadings::mirrorTrain).orElse(Train.USUAL);
          visit
              .atMirror1()
              .ifPresent(s ->
                  lost.add(
                      new Lost(
                          Message.of("mirrors.at.mirror", 1),
                          Aperture.lostShare(
                              seenMm(faceMm, train, 1), beam, Math.hypot(s.rightMm(), s.upMm())))));
          visit
              .full()
              .ifPresent(r -> {
                for (int mirror = 2; mirror <= train.mirrors(); mirror++) {
                  At at = At.values()[mirror - 2];
                  double seen = seenMm(faceMm, train, mirror);
                  furthest(r.marks(), at)
                      .ifPresent(off ->
                          lost.add(new Lost(at.said(), Aperture.lostShare(seen, beam, off))));
                }
              });
        });
    visit
        .full()
        .ifPresent(r ->
            furthest(r.marks(), At.HEAD)
                .ifPresent(off ->
                    lost.add(
                        new Lost(At.HEAD.said(), Aperture.lostShare(r.apertureMm(), beam, off)))));
    return lost;
  }

  /** Along the beam a mirror that stands at an angle is narrower than its face. */
  private static double seenMm(double faceMm, Train train, int mirror) {
    return faceMm * Math.cos(Math.toRadians(train.incidenceDeg().get(mirror - 1)));
  }

  private static Optional<Double> furthest(List<Mark> marks, At at) {
    return marks.stream()
        .filter(m -> m.at() == at)
        .map(m -> Math.hypot(m.rightMm(), m.upMm()))
        .max(Double::compare);
  }

  static void scorches(List<Lost> lost, List<Message> warnings) {
    lost.stream()
        .filter(Lost::scorches)
        .forEach(l ->
            warnings.add(
                Message.of(
                    l.where().equals(At.HEAD.said())
                        ? "mirrors.rims.head-scorches"
                        : "mirrors.rims.mirror-scorches",
                    l.where(),
                    Amount.of(100 * l.share(), Quantity.PERCENT, 1))));
  }
}
