package zebrawood.desktop.bed;

import java.util.Optional;
import zebrawood.bed.Feel;
import zebrawood.bed.GapPoint;
import zebrawood.desktop.fields.LengthEntry;
import zebrawood.measure.LengthUnit;

/**
 * A place of the grid with its reading as typed.
 *
 * @param name as the technician says it, such as "front left" or "column 2, row 3"
 */
public record BedPlace(String name, int column, int row, LengthEntry reading) {
  BedPlace(String name, int column, int row, LengthUnit unit) {
    this(
        name,
        column,
        row,
        new LengthEntry(
            name.substring(0, 1).toUpperCase(java.util.Locale.ROOT) + name.substring(1),
            0,
            GapPoint.LARGEST_GAP_MM,
            true,
            unit));
  }

  static String corner(boolean right, boolean rear) {
    return (rear ? "rear " : "front ") + (right ? "right" : "left");
  }

  /** Corners have names; what lies between is counted from the front left. */
  static String name(int column, int row, int across, int deep) {
    boolean corner = (column == 0 || column == across - 1) && (row == 0 || row == deep - 1);
    return corner ? corner(column > 0, row > 0) : "column " + (column + 1) + ", row " + (row + 1);
  }

  Optional<Feel> feel() {
    return BedModel.feel(reading.text());
  }

  /** Takes the reading for what the way of reading makes of it. */
  void readBy(BedWay way) {
    switch (way) {
      case GAP -> reading.readAsLength(0);
      case HEAD_HEIGHT, BED_HEIGHT -> reading.readAsLength(-GapPoint.LARGEST_GAP_MM);
      case FEEL -> reading.readAs(this::feelProblem);
    }
  }

  private String feelProblem(String typed) {
    return BedModel.feel(typed).isPresent()
        ? ""
        : "%s: \"%s\" is not a feel. Accepted is t for touches, s for slides or g for gap."
            .formatted(reading.name(), typed.strip());
  }
}
