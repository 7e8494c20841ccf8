package zebrawood.site;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
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
    implements Finding {}
