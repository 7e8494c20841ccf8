package zebrawood.feed;

import java.util.List;
import zebrawood.measure.Estimate;
import zebrawood.measure.Finding;
import zebrawood.measure.Verdict;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * How a feed goes, and what is to be commanded.
 *
 * @param scale measured over commanded
 * @param skewMrad to the right
 * @param scatterMm of one feed
 * @param feedMm to command, so that it moves by window less overlap
 * @param spliceErrorMm one deviation of one joint
 * @param lastErrorMm one deviation of the last section's place
 * @param joints where nothing is burnt, if it can be; empty where nobody said where that is
 */
public record FeedFinding(
    Estimate scale,
    double skewMrad,
    double scatterMm,
    double feedMm,
    int sections,
    double spliceErrorMm,
    double lastErrorMm,
    List<Joint> joints,
    Verdict verdict,
    List<Advice> advice,
    List<Message> warnings)
    implements Finding {
  public FeedFinding {
    joints = List.copyOf(joints);
    advice = List.copyOf(advice);
    warnings = List.copyOf(warnings);
  }
}
