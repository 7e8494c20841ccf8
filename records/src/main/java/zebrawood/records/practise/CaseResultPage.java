package zebrawood.records.practise;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import zebrawood.records.paper.Paper;
import zebrawood.words.Phrasebook;

/**
 * A case as it was played.
 *
 * @param title its name and number
 * @param machine what it was played on
 * @param says what the customer said
 * @param scored the score, in sentences
 * @param truths what was off at the end, against its limit
 * @param deeds what was done, with what was seen
 */
public record CaseResultPage(
    String title,
    String machine,
    String says,
    String written,
    List<String> scored,
    List<Truth> truths,
    List<Deed> deeds) {
  /** What was off, truly. */
  public record Truth(String name, String off, String limit, String proven) {}

  /** What was done. */
  public record Deed(String minute, String what, String seen) {}

  /** As one well-formed HTML page. */
  public String html(Phrasebook words) throws IOException {
    return Paper.fill("/zebrawood/records/practise/case.html", Map.of("page", this), words);
  }
}
