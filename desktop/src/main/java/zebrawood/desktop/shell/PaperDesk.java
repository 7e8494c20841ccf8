package zebrawood.desktop.shell;

import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import zebrawood.desktop.paper.MachinePaper;
import zebrawood.desktop.station.Replay;
import zebrawood.desktop.station.SheetHost;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.text.Text;
import zebrawood.desktop.workshop.WorkshopModel;
import zebrawood.ledger.Ledger;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.handover.HandOver;
import zebrawood.records.handover.HandOverSheet;
import zebrawood.words.Message;
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
    MachinePaper paper = paper(ledger);
    return remark ->
        HandOverSheet.of(
            ledger,
            workshop.stations(),
            new HandOverSheet.Hand(paper, now, zone, by, words, remark));
  }

  private MachinePaper paper(Ledger ledger) {
    DisplayUnits units = workshop.units();
    Map<String, StationDefinition> byId = new HashMap<>();
    definitions.forEach(d -> byId.put(d.station().id(), d));
    return new MachinePaper(
        workshop::paperOf,
        entry ->
            Optional.ofNullable(byId.get(entry.stationId()))
                .flatMap(d -> Replay.paperOf(entry, d, ledger, units, workshop.stations())),
        station ->
            Optional.ofNullable(byId.get(station.id()))
                .map(d -> d.caution().apply(ledger.machine()))
                .orElse(Message.NONE));
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
