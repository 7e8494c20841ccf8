package zebrawood.records.kept;

import java.util.Optional;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Figure;
import zebrawood.records.json.RecordJson;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/** What was found, as it was kept with an entry. */
public final class KeptFindings {
  private static final String ADVICE = "advice";

  private KeptFindings() {}

  /** A part of it by its name; empty where an earlier or newer version kept others. */
  public static <P> Optional<P> part(Entry entry, String name, Class<P> type) {
    return RecordJson.part(entry.finding(), name, type);
  }

  /**
   * Why an entry is out where its telling figure does not say it: the first thing that was to be
   * done about it.
   */
  public static Optional<Message> whyOut(Entry entry) {
    return entry.tellingFigure().filter(Figure::overLimit).isPresent()
        ? Optional.empty()
        : RecordJson.parts(entry.finding(), ADVICE, Advice.class).stream()
            .filter(a -> a.kind() == Advice.Kind.DO)
            .map(a -> a.what().key().equals("words.not-so") ? a.said() : a.what())
            .findFirst();
  }
}
