package zebrawood.desktop.bed;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.bed.Feel;
import zebrawood.bed.GapPoint;
import zebrawood.desktop.form.QuantityField;
import zebrawood.words.Message;

/** A place of the grid with its reading as typed. */
record BedPlace(int column, int row, QuantityField reading, QuantityField x, QuantityField y) {

  /** Corners have names; what lies between is counted from the front left. */
  static Message name(int column, int row, int across, int deep) {
    boolean corner = (column == 0 || column == across - 1) && (row == 0 || row == deep - 1);
    return corner ? corner(column > 0, row > 0) : Message.of("bed.place.at", column + 1, row + 1);
  }

  static Message corner(boolean right, boolean rear) {
    return Message.of("bed.place." + (rear ? "rear" : "front") + (right ? "-right" : "-left"));
  }

  Message name() {
    return reading.label();
  }

  boolean isRead() {
    return !reading.isEmpty();
  }

  Optional<Feel> feel() {
    return feel(reading.text());
  }

  /** The feel typed: t, s or g, or the whole word. */
  private static Optional<Feel> feel(String typed) {
    String word = typed.strip().toLowerCase(Locale.ROOT);
    return word.isEmpty()
        ? Optional.empty()
        : Stream.of(Feel.values())
            .filter(f -> f.name().toLowerCase(Locale.ROOT).startsWith(word))
            .findFirst();
  }

  /** Where it is, once both positions can be used. */
  Optional<double[]> at() {
    return at(x, y);
  }

  static Optional<double[]> at(QuantityField x, QuantityField y) {
    OptionalDouble xMm = x.value();
    OptionalDouble yMm = y.value();
    return xMm.isPresent() && yMm.isPresent()
        ? Optional.of(new double[] {xMm.getAsDouble(), yMm.getAsDouble()})
        : Optional.empty();
  }

  /** Takes the reading for what the way of reading makes of it. */
  void readBy(BedWay way) {
    switch (way) {
      case GAP -> reading.readAsNumber(0);
      case HEAD_HEIGHT, BED_HEIGHT -> reading.readAsNumber(-GapPoint.LARGEST_GAP_MM);
      case FEEL ->
          reading.readAs(typed ->
              feel(typed).isPresent()
                  ? Optional.empty()
                  : Optional.of(
                      Message.of(
                          "bed.problem.feel", reading.label(), Message.quoted(typed.strip()))));
    }
  }
}
