package zebrawood.records.handover;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import zebrawood.records.paper.Paper;
import zebrawood.words.Phrasebook;

/**
 * Two days of one machine beside each other, on paper: texts only, ready for the template.
 *
 * @param one the first day in words, and {@code other} the second
 * @param between what happened in between
 * @param neverRead names of what was read on neither day; possibly empty
 */
public record ComparisonPage(
    String machine,
    String description,
    String written,
    String one,
    String other,
    String counts,
    List<Row> rows,
    List<String> between,
    String neverRead,
    String caution) {
  public ComparisonPage {
    rows = List.copyOf(rows);
    between = List.copyOf(between);
  }

  /** What differs. */
  public record Row(String name, String before, String after, String says) {}

  /** Whether nothing differs that was read. */
  public boolean same() {
    return rows.isEmpty();
  }

  /** As one well-formed HTML page. */
  public String html(Phrasebook words) throws IOException {
    return Paper.fill("/zebrawood/records/handover/two-days.html", Map.of("days", this), words);
  }
}
