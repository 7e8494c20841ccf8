package zebrawood.desktop.fields;

import javafx.css.PseudoClass;
import javafx.scene.control.TextField;

/** A text field for a {@link TypedEntry}; marks what cannot be used by shape and by colour. */
public final class EntryField extends TextField {
  public static final PseudoClass UNUSABLE = PseudoClass.getPseudoClass("unusable");
  private static final String STYLE_CLASS = "entry-field";

  private final TypedEntry entry;

  public EntryField(TypedEntry entry) {
    this.entry = entry;
    getStyleClass().add(STYLE_CLASS);
    setAccessibleText(entry.name());
    textProperty().bindBidirectional(entry.textProperty());
    entry.problemProperty().subscribe(p -> pseudoClassStateChanged(UNUSABLE, !p.isEmpty()));
  }

  public TypedEntry entry() {
    return entry;
  }
}
