package zebrawood.desktop.stations;

import java.util.List;
import java.util.function.Function;
import zebrawood.desktop.sheet.SheetHost;
import zebrawood.desktop.sheet.StationSheet;
import zebrawood.desktop.solve.Solver;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Station;

/**
 * All that the application needs to know of a station.
 *
 * @param sheet makes its sheet for the machine that is open
 * @param picture draws an entry's plan for the hand-over sheet, as SVG
 * @param solvers the names under which {@code solve} runs its computations
 */
public record StationModule(
    Station station,
    Function<SheetHost, StationSheet> sheet,
    Function<Entry, String> picture,
    List<Solver> solvers) {}
