package zebrawood.desktop.stations;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import zebrawood.desktop.command.Command;
import zebrawood.desktop.sheet.Guard;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.StationWork;
import zebrawood.desktop.solve.Solver;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.quantity.DisplayUnits;

/**
 * All that the application needs to know of a station.
 *
 * @param work opens it at a machine, with what that machine's ledger says
 * @param solvers the names under which {@code solve} runs its computations
 * @param commands what it adds to the palette and the keys
 * @param guard when it knows what must be proven every day
 */
public record StationDefinition(
    Station station,
    BiFunction<Ledger, DisplayUnits, StationWork<?, ?>> work,
    List<Solver> solvers,
    Function<SheetHost, List<Command>> commands,
    Optional<Guard> guard) {
  public StationDefinition(
      Station station,
      BiFunction<Ledger, DisplayUnits, StationWork<?, ?>> work,
      Solver... solvers) {
    this(station, work, List.of(solvers), host -> List.of(), Optional.empty());
  }
}
