package zebrawood.cards;

import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/**
 * A hole burnt into glass from its face as a filled ring, layer by layer; the focus follows each
 * layer.
 *
 * @param layerMm how deep one layer goes
 */
public record GlassHole(
    double diameterMm,
    double ringMm,
    double layerMm,
    double thicknessMm,
    double hatchMm,
    double speedMmS) {
  private static final double LARGEST_MM = 1000;

  public GlassHole {
    var accepts =
        new Accepts()
            .positive("diameterMm", diameterMm, LARGEST_MM)
            .positive("ringMm", ringMm, LARGEST_MM)
            .positive("layerMm", layerMm, LARGEST_MM)
            .positive("thicknessMm", thicknessMm, LARGEST_MM)
            .positive("hatchMm", hatchMm, LARGEST_MM)
            .positive("speedMmS", speedMmS, 1_000_000);
    if (accepts.fine() && 2 * ringMm > diameterMm) {
      accepts.complain("ringMm", ringMm, Message.of("cards.accepts.ring"));
    }
    accepts.orThrow();
  }

  public long layers() {
    return (long) Math.ceil(thicknessMm / layerMm - 1e-9);
  }

  /** Length of one layer's lines: the ring's area over the hatch. */
  public double lineMm() {
    double outer = diameterMm / 2;
    double inner = outer - ringMm;
    return Math.PI * (outer * outer - inner * inner) / hatchMm;
  }

  /** Beam on, all layers. */
  public double seconds() {
    return layers() * lineMm() / speedMmS;
  }
}
