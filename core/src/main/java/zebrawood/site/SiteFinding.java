package zebrawood.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** What the site came to, for the parts read. */
public record SiteFinding(
    Optional<Circuit.Finding> circuit,
    Optional<Duct.Finding> duct,
    Optional<Eyewear.Finding> eyewear,
    Optional<HazardDistance.Finding> hazardDistance,
    Optional<Weight.Finding> weight,
    Optional<WayIn.Finding> wayIn,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  /** The figures of each part that was read, in sentences. */
  public List<Message> said() {
    List<Message> said = new ArrayList<>();
    circuit.ifPresent(c ->
        said.add(
            Message.of(
                "site.summary.circuit",
                Amount.of(c.amps(), Quantity.CURRENT, 1),
                Amount.of(100 * c.shareOfBreaker(), Quantity.PERCENT, 0))));
    duct.ifPresent(d -> {
      said.add(
          Message.of(
              "site.summary.duct",
              Amount.of(d.lossPa(), Quantity.PRESSURE, 0),
              Amount.of(d.velocityMS(), Quantity.AIR_SPEED, 1)));
      d.operatingFlowM3H()
          .ifPresent(
              q -> said.add(Message.of("site.summary.flow", Amount.of(q, Quantity.FLOW, 0))));
    });
    eyewear.ifPresent(e ->
        said.add(
            Message.of(
                "site.summary.eyewear",
                Amount.of(e.requiredOpticalDensity(), Quantity.OPTICAL_DENSITY, 1))));
    hazardDistance.ifPresent(h -> {
      h.alongBeamM()
          .ifPresent(
              m -> said.add(Message.of("site.summary.along", Amount.of(m, Quantity.DISTANCE, 0))));
      said.add(Message.of("site.summary.matt", Amount.of(h.fromMattM(), Quantity.DISTANCE, 1)));
    });
    weight.ifPresent(w -> {
      said.add(
          Message.of(
              "site.summary.weight",
              Amount.of(w.kgPerM2(), Quantity.FLOOR_LOAD, 0),
              Amount.of(w.kgPerFoot(), Quantity.MASS, 1)));
      w.footMPa()
          .ifPresent(
              p -> said.add(Message.of("site.summary.foot", Amount.of(p, Quantity.STRESS, 2))));
    });
    return said;
  }
}
