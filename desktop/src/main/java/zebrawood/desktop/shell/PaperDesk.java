package zebrawood.desktop.shell;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.function.Function;
import zebrawood.desktop.paper.MachinePaper;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Ledger;
import zebrawood.records.handover.HandOver;
import zebrawood.records.handover.HandOverSheet;
import zebrawood.words.Phrasebook;

/** Writes what is printed of the open machine: the hand-over sheet and its card of one page. */
final class PaperDesk {
  private final SheetHost host;
  private final WorkshopModel workshop;
  private final List<StationDefinition> definitions;

  PaperDesk(SheetHost host, List<StationDefinition> definitions) {
    this.host = host;
    this.definitions = definitions;
    workshop = host.workshop();
  }

  /** As the record stands now, with what the technician says of what was not done. */
  private Function<String, HandOverSheet> sheet() {
    Ledger ledger = workshop.opened().ledger();
    Instant now = workshop.clock().instant();
    ZoneId zone = workshop.clock().getZone();
    String by = workshop.initials().orElse("–");
    Phrasebook words = Text.words();
    MachinePaper paper = RecordedPaper.of(ledger, definitions, workshop.units(), workshop::paperOf);
    return remark ->
        HandOverSheet.of(
            ledger,
            workshop.stations(),
            new HandOverSheet.Hand(paper, now, zone, by, words, remark));
  }

  void handOver() {
    Function<String, HandOverSheet> sheet = sheet();
    Phrasebook words = Text.words();
    host.write(
        new SheetHost.Page(
            Text.of("handover.title", workshop.opened().machine().name()),
            Text.of("handover.why"),
            PaperCard.HAND_OVER,
            true,
            remark -> HandOver.html(sheet.apply(remark), words)));
  }

  void machineCard() {
    Function<String, HandOverSheet> sheet = sheet();
    Phrasebook words = Text.words();
    host.write(
        new SheetHost.Page(
            Text.of("machine-card.title", workshop.opened().machine().name()),
            Text.of("machine-card.why"),
            "machine-card",
            false,
            remark -> HandOver.card(sheet.apply(remark), words)));
  }
}
