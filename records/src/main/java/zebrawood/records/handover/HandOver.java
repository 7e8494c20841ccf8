package zebrawood.records.handover;

import java.io.IOException;
import java.util.Map;
import zebrawood.records.paper.Paper;
import zebrawood.words.Phrasebook;

/** The pages of one machine, each as one well-formed HTML page with its pictures inside it. */
public final class HandOver {
  private HandOver() {}

  /** The hand-over sheet. */
  public static String html(HandOverSheet sheet, Phrasebook words) throws IOException {
    return Paper.fill("/zebrawood/records/handover/sheet.html", Map.of("sheet", sheet), words);
  }

  /** What of it fits on one page, to hang at the machine. */
  public static String card(HandOverSheet sheet, Phrasebook words) throws IOException {
    return Paper.fill("/zebrawood/records/handover/card.html", Map.of("sheet", sheet), words);
  }
}
