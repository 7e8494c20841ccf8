package zebrawood.lens;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.station.Proof;

/**
 * What was looked at and said of the lens that is on.
 *
 * @param proofs what was looked at, each once
 * @param rack empty while nobody said what the beam is
 */
public record LensVisitReadings(List<Proof<LensVisit.Item>> proofs, Optional<LensVisit.Rack> rack) {
  public LensVisitReadings {
    proofs = List.copyOf(proofs);
    var accepts = new Accepts();
    Proof.eachOnce("proofs", proofs, accepts);
    accepts.orThrow();
  }
}
