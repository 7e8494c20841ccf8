package zebrawood.field;

import java.util.List;
import zebrawood.field.FieldFinding.Row;

/** A table as a controller uses it: straight lines between its places. */
public final class CommandTable {
  private final int size;
  private final double fieldMm;
  private final double[] commandX;
  private final double[] commandY;

  /**
   * @param rows as many rows as columns, row by row from the lowest y
   */
  public CommandTable(List<Row> rows, double fieldMm) {
    this.fieldMm = fieldMm;
    size = (int) Math.round(Math.sqrt(rows.size()));
    commandX = rows.stream().mapToDouble(Row::commandXMm).toArray();
    commandY = rows.stream().mapToDouble(Row::commandYMm).toArray();
  }

  /**
   * What to command to hit a place; beyond the field's edge the last piece goes straight on.
   *
   * @param into where the command is put, x and y
   */
  public void command(double xMm, double yMm, double[] into) {
    double u = (xMm / fieldMm + 0.5) * (size - 1);
    double v = (yMm / fieldMm + 0.5) * (size - 1);
    int column = Math.clamp((long) u, 0, size - 2);
    int row = Math.clamp((long) v, 0, size - 2);
    int at = row * size + column;
    into[0] = mixed(commandX, at, u - column, v - row);
    into[1] = mixed(commandY, at, u - column, v - row);
  }

  /** A table of marks that were burnt through this one, joined to it: it takes this one's place. */
  public List<Row> joined(List<Row> next) {
    double[] into = new double[2];
    return next.stream()
        .map(row -> {
          command(row.commandXMm(), row.commandYMm(), into);
          return new Row(row.xMm(), row.yMm(), into[0], into[1]);
        })
        .toList();
  }

  private double mixed(double[] values, int at, double s, double t) {
    double low = values[at] + s * (values[at + 1] - values[at]);
    double high = values[at + size] + s * (values[at + size + 1] - values[at + size]);
    return low + t * (high - low);
  }
}
