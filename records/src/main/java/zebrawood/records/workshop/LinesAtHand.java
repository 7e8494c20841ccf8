package zebrawood.records.workshop;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.SequencedMap;
import java.util.function.Function;
import zebrawood.ledger.Recorded;

/** The lines of the machines that were asked for last; what is recorded is added to them. */
final class LinesAtHand {
  private static final int MOST_MACHINES = 8;

  /** In the order in which they were asked for: the first goes first. */
  private final SequencedMap<String, List<Recorded>> ofMachine =
      new LinkedHashMap<>(2 * MOST_MACHINES, 0.75f, true);

  /**
   * @param read from the file, where they are not at hand
   */
  List<Recorded> of(String machineId, Function<String, List<Recorded>> read) {
    List<Recorded> lines = ofMachine.get(machineId);
    if (lines == null) {
      lines = new ArrayList<>(read.apply(machineId));
      if (ofMachine.size() == MOST_MACHINES) {
        ofMachine.pollFirstEntry();
      }
      ofMachine.put(machineId, lines);
    }
    return List.copyOf(lines);
  }

  void add(Recorded line) {
    List<Recorded> lines = ofMachine.get(line.machineId());
    if (lines != null) {
      lines.add(line);
    }
  }

  /** The file may say something else now. */
  void forget() {
    ofMachine.clear();
  }
}
