package zebrawood.desktop.sheet;

import java.util.Optional;
import zebrawood.desktop.form.TypedField;
import zebrawood.desktop.text.Text;
import zebrawood.words.Message;

/**
 * Under the readings: why something typed cannot be used, else how the field at hand was
 * understood.
 */
public final class MessageLine extends WrappedLabel {
  private Optional<Message> refusal = Optional.empty();
  private Optional<TypedField> focused = Optional.empty();

  public MessageLine(String id) {
    super("");
    setId(id);
    show();
  }

  /** A sentence that says what is accepted, while something typed cannot be used. */
  public void refuse(Optional<Message> because) {
    refusal = because;
    show();
  }

  /** The field that has the focus. */
  public void setFocused(Optional<TypedField> field) {
    focused = field;
    show();
  }

  private void show() {
    setText(
        refusal
            .map(Text.words()::sentence)
            .or(() -> focused.flatMap(TypedField::understood).map(Text::of))
            .orElse(""));
    String look = refusal.isPresent() ? "refusal" : "understood";
    if (!getStyleClass().contains(look)) {
      getStyleClass().setAll("label", look);
    }
    setVisible(!getText().isEmpty());
    setManaged(!getText().isEmpty());
  }
}
