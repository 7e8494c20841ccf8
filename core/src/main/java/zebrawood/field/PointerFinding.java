package zebrawood.field;

import java.util.List;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * What is applied to the pointer so that it meets the mark: scaled and turned about the field's
 * centre, then moved.
 *
 * @param rotationMrad counter-clockwise
 * @param farthestOffMm how far it is off a mark now, where that is most
 * @param residualRmsMm what is left after it, root mean square
 */
public record PointerFinding(
    double offsetXMm,
    double offsetYMm,
    double scale,
    double rotationMrad,
    double farthestOffMm,
    double residualRmsMm,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {}
