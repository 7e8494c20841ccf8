package zebrawood.desktop.shell;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import zebrawood.desktop.paper.MachinePaper;
import zebrawood.desktop.station.Replay;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.kept.StationPaper;
import zebrawood.words.Message;

/** What is printed of a machine's entries, in the window and without it. */
public final class RecordedPaper {
  private RecordedPaper() {}

  /**
   * @param kept what paper shows of an entry, by its id, where it was kept with it
   */
  public static MachinePaper of(
      Ledger ledger,
      List<StationDefinition> definitions,
      DisplayUnits units,
      Function<String, Optional<StationPaper>> kept) {
    Map<String, StationDefinition> byId = new HashMap<>();
    definitions.forEach(d -> byId.put(d.station().id(), d));
    List<Station> stations = definitions.stream().map(StationDefinition::station).toList();
    return new MachinePaper(
        kept,
        entry ->
            Optional.ofNullable(byId.get(entry.stationId()))
                .flatMap(d -> Replay.paperOf(entry, d, ledger, units, stations)),
        station ->
            Optional.ofNullable(byId.get(station.id()))
                .map(d -> d.caution().apply(ledger.machine()))
                .orElse(Message.NONE));
  }
}
