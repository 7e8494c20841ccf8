package zebrawood.devices.focus;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A machine whose focus is to be found: a beam, a height axis that is moved by hand or by a motor
 * and has backlash, and an autofocus probe.
 */
public final class StandInFocus {
  private static final double PROBE_SCATTER_MM = 0.04;
  private static final double READ_TO_MM = 0.05;

  private final StandInBeam beam;
  private final double astigmatismMm;
  private final double backlashMm;
  private final double probeOffMm;
  private final Random random;
  private double gapMm;
  private double driveMm;
  private double offsetMm;

  /**
   * @param gapMm that it is set to
   * @param astigmatismMm how much farther the focus along y is than along x
   * @param backlashMm of the height axis
   * @param probeOffMm by how much its autofocus chooses too small a gap
   */
  public StandInFocus(
      StandInBeam beam,
      double gapMm,
      double astigmatismMm,
      double backlashMm,
      double probeOffMm,
      long number) {
    this.beam = beam;
    this.gapMm = gapMm;
    this.driveMm = gapMm;
    this.astigmatismMm = astigmatismMm;
    this.backlashMm = backlashMm;
    this.probeOffMm = probeOffMm;
    this.random = new Random(number);
  }

  public StandInBeam beam() {
    return beam;
  }

  /** The beam as it burns a line along x, across its y axis, or the other way. */
  public StandInBeam beamAlong(boolean y) {
    return beam.at(beam.focusGapMm() + (y ? astigmatismMm : -astigmatismMm) / 2);
  }

  public StandInBoard board(double runMm, double riseMm, double gapAtStartMm, boolean alongY) {
    return new StandInBoard(
        beamAlong(alongY), runMm, riseMm, gapAtStartMm, 0.03, 0.05, random.nextLong());
  }

  /** The gap, as a caliper reads it. */
  public double readGapMm() {
    return Math.round(gapMm / READ_TO_MM) * READ_TO_MM;
  }

  /** Makes the gap larger, or smaller; on turning round the backlash is run through first. */
  public void moveMm(double larger) {
    driveMm += larger;
    if (larger > 0) {
      gapMm = Math.max(gapMm, driveMm - backlashMm / 2);
    } else {
      gapMm = Math.min(gapMm, driveMm + backlashMm / 2);
    }
  }

  /** The height axis driven to a reading of its scale, always from the far side. */
  public void setGapMm(double wanted) {
    moveMm(wanted + 2 * backlashMm + backlashMm / 2 - driveMm);
    moveMm(wanted - backlashMm / 2 - driveMm);
  }

  public double offMm() {
    return gapMm - beam.focusGapMm();
  }

  /** Scores of marks at these gaps, as an eye gives them, to a half. */
  public List<Double> scores(List<Double> gapsMm) {
    return gapsMm.stream()
        .map(gap -> {
          double seen = beam.brightness(gap) + 0.15 * random.nextGaussian();
          return Math.max(0, Math.round(2 * seen) / 2.0);
        })
        .toList();
  }

  /** What the probe chooses, so often. */
  public List<Double> probe(int times) {
    List<Double> chosen = new ArrayList<>();
    for (int i = 0; i < times; i++) {
      double gap = beam.focusGapMm() - probeOffMm + PROBE_SCATTER_MM * random.nextGaussian();
      chosen.add(Math.round(gap * 100) / 100.0);
    }
    return chosen;
  }

  public double offsetMm() {
    return offsetMm;
  }

  public void setOffsetMm(double added) {
    offsetMm = added;
  }

  /** How far off the focus a gap is that the autofocus sets. */
  public double autofocusOffMm() {
    return offsetMm - probeOffMm;
  }
}
