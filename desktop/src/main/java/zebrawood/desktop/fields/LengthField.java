package zebrawood.desktop.fields;

import javafx.css.PseudoClass;
import javafx.scene.control.TextField;

/** A text field for a {@link LengthEntry}; marks what cannot be used by shape and by colour. */
public final class LengthField extends TextField {
  public static final PseudoClass UNUSABLE = PseudoClass.getPseudoClass("unusable");
  private static final String STYLE_CLASS = "length-field";

  private final LengthEntry entry;

  public LengthField(LengthEntry entry) {
    this.entry = entry;
    getStyleClass().add(STYLE_CLASS);
    setAccessibleText(entry.name());
    textProperty().bindBidirectional(entry.textProperty());
    entry.problemProperty().subscribe(p -> pseudoClassStateChanged(UNUSABLE, !p.isEmpty()));
  }

  public LengthEntry entry() {
    return entry;
  }
}
