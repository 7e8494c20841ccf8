package zebrawood.records.workshop;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import zebrawood.records.workshop.TwoDescriptions.Described;

/** Which two descriptions of a machine contradict, as long as nobody has said which is right. */
final class DescribedTwice {
  /** Under this name stands what nobody chose: the times of both, by the machine. */
  private static final String TWICE = "/described-twice";

  private static final String BETWEEN = " ";

  private final MachineTable machines;
  private final PreferenceTable preferences;

  DescribedTwice(MachineTable machines, PreferenceTable preferences) {
    this.machines = machines;
    this.preferences = preferences;
  }

  /**
   * Keeps that the newest of the descriptions that were there contradicts the newest that came.
   *
   * @param before times of those that were there
   */
  void keep(String machineId, List<String> before) {
    Optional<String> theirs =
        machines.versions(machineId).keySet().stream()
            .filter(at -> !before.contains(at))
            .reduce((earlier, later) -> later);
    if (theirs.isPresent() && !before.isEmpty()) {
      preferences.keep(TWICE, machineId, before.getLast() + BETWEEN + theirs.get());
    }
  }

  Optional<TwoDescriptions> of(String machineId) {
    Optional<String[]> kept =
        preferences.of(TWICE, machineId).map(t -> t.split(BETWEEN)).filter(t -> t.length == 2);
    if (kept.isEmpty()) {
      return Optional.empty();
    }
    Map<String, Described> versions = machines.versions(machineId);
    Described one = versions.get(kept.get()[0]);
    Described other = versions.get(kept.get()[1]);
    boolean settled =
        one == null
            || other == null
            || one.machine().equals(other.machine())
            || versions.values().stream()
                .anyMatch(v -> v.at().isAfter(one.at()) && v.at().isAfter(other.at()));
    return settled ? Optional.empty() : Optional.of(new TwoDescriptions(one, other));
  }
}
