package zebrawood.desktop.paper;

import java.util.Optional;
import java.util.function.Function;
import zebrawood.controller.Printed;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Station;
import zebrawood.records.handover.PaperContent;
import zebrawood.records.kept.StationPaper;
import zebrawood.words.Message;

/**
 * What paper prints of one machine: what was kept with each entry when it was recorded. It makes no
 * station; what was recorded before that was kept comes from elsewhere, and the paper says so.
 *
 * @param kept what was kept with an entry, by its id
 * @param anew what can be made of an entry with which nothing was kept
 * @param cautions what can hurt at a station of this machine
 */
public record MachinePaper(
    Function<String, Optional<StationPaper>> kept,
    Function<Entry, Optional<StationPaper>> anew,
    Function<Station, Message> cautions)
    implements PaperContent {
  @Override
  public Message caution(Station station) {
    return cautions.apply(station);
  }

  @Override
  public Printed of(Entry entry) {
    return kept.apply(entry.id())
        .map(paper -> new Printed(paper, false))
        .or(() -> anew.apply(entry).map(paper -> new Printed(paper, true)))
        .orElse(Printed.NOTHING);
  }
}
