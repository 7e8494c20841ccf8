package zebrawood.desktop.sheet;

import java.util.Optional;
import zebrawood.desktop.fields.EntryField;

/**
 * Under the readings: why something typed cannot be used, else how the field at hand was
 * understood.
 */
public final class MessageLine extends Prose {
  private Optional<String> refusal = Optional.empty();
  private Optional<EntryField> focused = Optional.empty();

  public MessageLine(String id) {
    super("");
    setId(id);
    show();
  }

  /** A sentence that says what is accepted, while something typed cannot be used. */
  public void refuse(Optional<String> because) {
    refusal = because;
    show();
  }

  /** The field that has the focus. */
  public void setFocused(Optional<EntryField> field) {
    focused = field;
    show();
  }

  private void show() {
    setText(refusal.or(() -> focused.map(f -> f.entry().understood())).orElse(""));
    getStyleClass().setAll("label", refusal.isPresent() ? "refusal" : "understood");
    setVisible(!getText().isEmpty());
    setManaged(!getText().isEmpty());
  }
}
