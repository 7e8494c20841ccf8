package zebrawood.desktop.sheet;

import javafx.css.PseudoClass;
import javafx.scene.control.TextField;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.text.Text;

/** A text field for a {@link TypedField}; marks what cannot be used by shape and by colour. */
public final class TypedControl extends TextField {
  public static final PseudoClass UNUSABLE = PseudoClass.getPseudoClass("unusable");
  private static final String STYLE_CLASS = "entry-field";
  private final TypedField field;

  public TypedControl(TypedField field) {
    this.field = field;
    getStyleClass().add(STYLE_CLASS);
    setAccessibleText(Text.of(field.label()));
    textProperty().bindBidirectional(field.textProperty());
    field.problemProperty().subscribe(p -> pseudoClassStateChanged(UNUSABLE, p.isPresent()));
  }

  public TypedField field() {
    return field;
  }
}
