package zebrawood.desktop.fault;

import java.util.List;
import java.util.Optional;
import zebrawood.fault.Cause;
import zebrawood.fault.CauseTest;

/**
 * What of a case stands on the sheet: it is laid out anew only where that is another thing.
 *
 * @param next the test that tells most, of those that were not skipped
 * @param rest tests that were not made, the one that tells most first
 */
record CaseLayout(
    boolean dead,
    Optional<CauseTest> next,
    List<CauseTest> answered,
    List<CauseTest> rest,
    List<Cause> likeliest,
    Optional<Cause> mended) {}
