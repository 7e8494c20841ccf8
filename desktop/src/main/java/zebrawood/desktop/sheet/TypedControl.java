package zebrawood.desktop.sheet;

import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.scene.control.TextField;
import javafx.scene.text.Font;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.text.Text;

/** A text field for a {@link TypedField}; marks what cannot be used by shape and by colour. */
public final class TypedControl extends TextField {
  public static final PseudoClass UNUSABLE = PseudoClass.getPseudoClass("unusable");
  private static final String STYLE_CLASS = "entry-field";
  private final TypedField field;
  private Sized sized;

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

  /** What the size of a text field follows from; what is typed is not among it. */
  private record Sized(Font font, Insets insets, int columns) {}

  /**
   * What is typed moves within the field and changes nothing about it: without this each letter
   * would have the whole page laid out anew.
   */
  @Override
  public void requestLayout() {
    Sized now = new Sized(getFont(), getInsets(), getPrefColumnCount());
    if (getWidth() > 0 && now.equals(sized)) {
      setNeedsLayout(true);
    } else {
      sized = now;
      super.requestLayout();
    }
  }
}
