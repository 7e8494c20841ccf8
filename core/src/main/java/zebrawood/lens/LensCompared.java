package zebrawood.lens;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.quantity.Amount;
import zebrawood.words.Message;

/**
 * One lens against a job.
 *
 * <p>A line is as wide as the spot at least: what is finer than the spot cannot be drawn. Lines of
 * a fill nearer than half the spot only burn the same place again: that is the narrowest interval
 * worth using. A cut tapers by what the spot grows from the middle of the stock to its face;
 * whether that matters, the job says.
 *
 * @param optics its spot and depth, with the job's thickness where there is one
 * @param taperMm of each side of a cut, from the middle to a face; empty without a thickness
 * @param fieldMm how large it works; empty where that is not known
 * @param against why it does not suit the job; empty where it does
 */
public record LensCompared(
    RackLens lens,
    LensFinding optics,
    OptionalDouble taperMm,
    OptionalDouble fieldMm,
    List<Message> against) {
  private static final double SPOTS_PER_INTERVAL = 0.5;

  public double narrowestIntervalMm() {
    return SPOTS_PER_INTERVAL * optics.spotMm();
  }

  public boolean suits() {
    return against.isEmpty();
  }

  static LensCompared of(RackLens lens, Beam beam, LensJob job, OptionalDouble machinesFieldMm) {
    LensFinding optics =
        LensOptics.solve(
            new LensReadings(
                beam.wavelengthNm(),
                lens.focalLengthMm(),
                beam.diameterMm(),
                beam.m2(),
                lens.shape(),
                job.thicknessMm()));
    OptionalDouble taper =
        optics.edgeSpotMm().isPresent()
            ? OptionalDouble.of((optics.edgeSpotMm().getAsDouble() - optics.spotMm()) / 2)
            : OptionalDouble.empty();
    OptionalDouble field = lens.fieldMm().isPresent() ? lens.fieldMm() : machinesFieldMm;
    List<Message> against = new ArrayList<>();
    job.finestMm()
        .ifPresent(mm -> {
          if (optics.spotMm() > mm) {
            against.add(
                Message.of("lens.against.coarse", Amount.mm(optics.spotMm(), 3), Amount.mm(mm, 3)));
          }
        });
    taper.ifPresent(mm -> {
      if (job.mostTaperMm().isPresent() && mm > job.mostTaperMm().getAsDouble()) {
        against.add(Message.of("lens.against.taper", Amount.mm(mm, 3)));
      }
    });
    if (job.areaMm().isPresent()
        && field.isPresent()
        && job.areaMm().getAsDouble() > field.getAsDouble()) {
      against.add(Message.of("lens.against.field", Amount.mm(field.getAsDouble(), 0)));
    }
    return new LensCompared(lens, optics, taper, field, against);
  }

  /** What it does, and what speaks against it. */
  List<Message> said() {
    List<Message> said = new ArrayList<>();
    taperMm.ifPresent(mm ->
        said.add(
            Message.of(
                "lens.summary.cut",
                lens.name(),
                Amount.mm(optics.spotMm(), 3),
                Amount.mm(optics.edgeSpotMm().orElseThrow(), 3),
                Amount.mm(mm, 3))));
    fieldMm.ifPresent(
        mm -> said.add(Message.of("lens.summary.field", lens.name(), Amount.mm(mm, 0))));
    Message does =
        Message.of(
            "lens.summary.does",
            lens.name(),
            Amount.mm(optics.spotMm(), 3),
            Amount.mm(optics.depthOfFieldMm(), 2),
            Amount.mm(narrowestIntervalMm(), 3),
            Amount.mm(narrowestIntervalMm() / 2, 3));
    said.add(suits() ? does : Message.of("lens.summary.but", does, Message.list(against)));
    if (lens.focalAssumed().orElse(false)) {
      said.add(
          Message.of(
              "lens.summary.focal-assumed", lens.name(), Amount.mm(lens.focalLengthMm(), 0)));
    }
    return said;
  }

  /** Of those that suit the job the one with the smallest spot; none where none does. */
  static Optional<LensCompared> best(List<LensCompared> all) {
    return all.stream()
        .filter(LensCompared::suits)
        .min(Comparator.comparingDouble(c -> c.optics().spotMm()));
  }

  /** The beam that all lenses of a machine are given. */
  public record Beam(double wavelengthNm, double diameterMm, double m2) {}
}
