package zebrawood.records.handover;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import zebrawood.records.paper.Paper;
import zebrawood.records.paper.Paper.Written;
import zebrawood.words.Phrasebook;

/** Writes the hand-over sheet of one machine. */
public final class HandOver {
  private HandOver() {}

  /**
   * Writes both files into the folder, which is made where there is none. Each appears whole or not
   * at all.
   *
   * @param name the files' name without ending
   */
  public static Written write(HandOverSheet sheet, Phrasebook words, Path folder, String name)
      throws IOException {
    return Paper.write(html(sheet, words), folder, name);
  }

  /** Writes what of it fits on one page, to hang at the machine. */
  public static Written writeCard(HandOverSheet sheet, Phrasebook words, Path folder, String name)
      throws IOException {
    return Paper.write(
        Paper.fill("/zebrawood/records/handover/card.html", Map.of("sheet", sheet), words),
        folder,
        name);
  }

  /** The sheet as one well-formed HTML page; its pictures are inside it. */
  public static String html(HandOverSheet sheet, Phrasebook words) throws IOException {
    return Paper.fill("/zebrawood/records/handover/sheet.html", Map.of("sheet", sheet), words);
  }
}
