package zebrawood.controller;

import java.util.List;
import java.util.Optional;
import zebrawood.measure.PlainValue;

/**
 * The share of the laser at 0, 10, ... 100 percent in the job software.
 *
 * @param rows empty where nobody knows the shares
 */
public record PowerTable(Optional<List<PowerScale.Row>> rows) implements PlainValue {
  public PowerTable {
    rows = rows.map(List::copyOf);
  }

  @Override
  public Object plainValue() {
    return rows.orElse(null);
  }
}
