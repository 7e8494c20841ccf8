package zebrawood.focus;

import java.util.List;
import java.util.OptionalDouble;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What a visit to the focus came to.
 *
 * @param offMm the gap as set less the one that is wanted; empty while nobody read it
 * @param allowedMm how far off it may be, half the depth of focus; empty where that is not known
 * @param tableUpMm for what is on the table now; less than 0 for down
 */
public record FocusFinding(
    Located located,
    OptionalDouble offMm,
    OptionalDouble allowedMm,
    OptionalDouble tableUpMm,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {}
