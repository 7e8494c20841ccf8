package zebrawood.desktop.station;

import java.util.List;
import java.util.Optional;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.quantity.DisplayUnits;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.kept.StationPaper;

/**
 * What paper shows of an entry that an earlier version recorded without it: the readings are typed
 * again into the station as it is today, on the record as it was before that entry was written.
 */
public final class Replay {
  private Replay() {}

  /** Empty where what was typed cannot be read. */
  public static Optional<StationPaper> paperOf(
      Entry entry,
      StationDefinition definition,
      Ledger ledger,
      DisplayUnits units,
      List<Station> stations) {
    return KeptReadings.typed(entry)
        .map(typed -> {
          StationModel<?, ?> model =
              definition.open(
                  AtMachine.on(ledger.before(entry), units, entry.time()).among(stations));
          model.form().type(typed);
          return PaperMaker.of(model);
        });
  }
}
