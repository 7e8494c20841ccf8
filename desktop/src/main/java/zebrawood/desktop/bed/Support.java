package zebrawood.desktop.bed;

import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import zebrawood.bed.Clockwise;
import zebrawood.desktop.fields.LengthEntry;
import zebrawood.measure.LengthUnit;

/** A levelling screw or a foot as it is typed. */
public final class Support {
  private final StringProperty id = new SimpleStringProperty();
  private final LengthEntry x;
  private final LengthEntry y;
  private final LengthEntry pitch;
  private final ObjectProperty<Clockwise> clockwise = new SimpleObjectProperty<>(Clockwise.RAISES);

  Support(String id, double xMm, double yMm, double pitchMm, LengthUnit unit) {
    this.id.set(id);
    x = new LengthEntry(id + " x", -20_000, 20_000, true, unit);
    y = new LengthEntry(id + " y", -20_000, 20_000, true, unit);
    pitch = new LengthEntry(id + " pitch", 0, 20, false, unit);
    x.setMm(xMm);
    y.setMm(yMm);
    pitch.setMm(pitchMm);
  }

  public StringProperty idProperty() {
    return id;
  }

  public LengthEntry x() {
    return x;
  }

  public LengthEntry y() {
    return y;
  }

  /** How far one turn moves the bed; of no meaning for a foot. */
  public LengthEntry pitch() {
    return pitch;
  }

  public ObjectProperty<Clockwise> clockwiseProperty() {
    return clockwise;
  }
}
