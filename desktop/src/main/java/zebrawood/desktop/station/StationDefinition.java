package zebrawood.desktop.station;

import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import zebrawood.desktop.command.Command;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.quantity.DisplayUnits;
import zebrawood.words.Message;

/**
 * All that the application needs to know of a station.
 *
 * @param model opens it at a machine
 * @param caution what can hurt there at this machine, whatever is read; empty where nothing can
 * @param solvers the names under which {@code solve} runs its computations
 * @param commands what it adds to the palette and the keys
 * @param guard when it knows what must be proven every day
 */
public record StationDefinition(
    Station station,
    Function<AtMachine, StationModel<?, ?>> model,
    Function<Machine, Message> caution,
    List<Solver> solvers,
    Function<SheetHost, List<Command>> commands,
    Optional<Guard> guard) {
  public StationDefinition {
    solvers = List.copyOf(solvers);
  }

  /** A station whose caution is always the same, that solves nothing by name and adds nothing. */
  public static StationDefinition of(
      Station station, BiFunction<Ledger, DisplayUnits, StationModel<?, ?>> model) {
    return opened(station, at -> model.apply(at.ledger(), at.units()));
  }

  /** The same of a station that needs to know what time it is. */
  public static StationDefinition opened(
      Station station, Function<AtMachine, StationModel<?, ?>> model) {
    return new StationDefinition(
        station,
        model,
        machine -> Message.of(station.id() + ".caution"),
        List.of(),
        host -> List.of(),
        Optional.empty());
  }

  /** Its sheet at a machine. */
  public StationModel<?, ?> open(AtMachine at) {
    StationModel<?, ?> opened = model.apply(at);
    opened.setCaution(caution.apply(at.ledger().machine()));
    return opened;
  }

  public StationDefinition with(Solver... names) {
    return new StationDefinition(station, model, caution, List.of(names), commands, guard);
  }

  /** With a caution that depends on the machine. */
  public StationDefinition cautioning(Function<Machine, Message> ofMachine) {
    return new StationDefinition(station, model, ofMachine, solvers, commands, guard);
  }

  public StationDefinition commanding(Function<SheetHost, List<Command>> added) {
    return new StationDefinition(station, model, caution, solvers, added, guard);
  }

  public StationDefinition guarding(Guard daily) {
    return new StationDefinition(station, model, caution, solvers, commands, Optional.of(daily));
  }
}
