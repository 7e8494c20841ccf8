package zebrawood.desktop.sheet;

import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.scene.control.TextField;
import javafx.scene.text.Font;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.text.Text;

/** A text field for a {@link TypedField}; marks what cannot be used by shape and by colour. */
public final class TypedControl extends TextField {
  public static final PseudoClass UNUSABLE = PseudoClass.getPseudoClass("unusable");
  private static final String STYLE_CLASS = "entry-field";
  private static final double CARET_PX = 3;

  /** Smaller nobody reads; longer texts than this holds are no figures. */
  private static final double LEAST_PX = 9;

  private static final javafx.scene.text.Text RULER = new javafx.scene.text.Text();

  private final TypedField field;
  private double usualPx;
  private Sized sized;

  public TypedControl(TypedField field) {
    this.field = field;
    getStyleClass().add(STYLE_CLASS);
    setAccessibleText(Text.of(field.label()));
    textProperty().bindBidirectional(field.textProperty());
    if (field instanceof QuantityField) {
      textProperty().subscribe(typed -> fit());
      widthProperty().subscribe(wide -> fit());
    }
    field.problemProperty().subscribe(p -> pseudoClassStateChanged(UNUSABLE, p.isPresent()));
  }

  /** A figure that is wider than its field is written smaller: none is ever cut. */
  private void fit() {
    double room = getWidth() - getInsets().getLeft() - getInsets().getRight() - CARET_PX;
    if (room <= 0) {
      return;
    }
    // A size that was just taken back stands there until the next pulse.
    usualPx = Math.max(usualPx, getFont().getSize());
    RULER.setFont(Font.font(getFont().getFamily(), usualPx));
    RULER.setText(getText());
    double wide = RULER.getLayoutBounds().getWidth();
    double fits = Math.max(LEAST_PX, Math.floor(2 * usualPx * room / wide) / 2);
    String style = wide <= room ? "" : "-fx-font-size: " + fits + "px;";
    if (!style.equals(getStyle())) {
      setStyle(style);
    }
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
