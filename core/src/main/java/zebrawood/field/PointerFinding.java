package zebrawood.field;

import java.util.List;
import java.util.OptionalDouble;
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
 * @param offsetXMmUncertainty one standard deviation, as the others; empty in entries of earlier
 *     versions
 */
public record PointerFinding(
    double offsetXMm,
    double offsetYMm,
    double scale,
    double rotationMrad,
    double farthestOffMm,
    double residualRmsMm,
    OptionalDouble offsetXMmUncertainty,
    OptionalDouble offsetYMmUncertainty,
    OptionalDouble scaleUncertainty,
    OptionalDouble rotationMradUncertainty,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {}
