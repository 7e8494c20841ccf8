package zebrawood.desktop.form;

import java.util.Optional;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleObjectProperty;
import zebrawood.quantity.DisplayUnits;
import zebrawood.words.Message;

/** One thing to prove by hand and eye: it is so, or it is not. */
public final class ProofField extends Field {
  /** What was answered. */
  public enum Answer {
    NOT_YET,
    YES,
    NO
  }

  /** Answers are readings, and are kept under this name. */
  public static final String PROOF = READING + "proof.";

  private final String item;
  private final ObjectProperty<Answer> answer = new SimpleObjectProperty<>(Answer.NOT_YET);
  private final BooleanProperty settled = new SimpleBooleanProperty(false);

  ProofField(String item, Message what) {
    super(PROOF + item, what);
    this.item = item;
    answer.subscribe((before, now) -> changed());
  }

  /** What it is called by. */
  public String item() {
    return item;
  }

  public ObjectProperty<Answer> answerProperty() {
    return answer;
  }

  /** Whether it was answered before and need not be asked again; it still can be. */
  public BooleanProperty settledProperty() {
    return settled;
  }

  public Answer get() {
    return answer.get();
  }

  /** Whether it is so; empty while nobody looked. */
  public Optional<Boolean> so() {
    return isEmpty() ? Optional.empty() : Optional.of(get() == Answer.YES);
  }

  public void set(Answer now) {
    answer.set(now);
  }

  public void set(boolean so) {
    answer.set(so ? Answer.YES : Answer.NO);
  }

  @Override
  String kept() {
    return answer.get() == Answer.NOT_YET ? "" : answer.get().name();
  }

  /** An answer that this version does not know is none. */
  @Override
  void restore(String kept, DisplayUnits bare) {
    answer.set(
        switch (kept) {
          case "YES" -> Answer.YES;
          case "NO" -> Answer.NO;
          default -> Answer.NOT_YET;
        });
  }

  @Override
  void clear() {
    answer.set(Answer.NOT_YET);
  }

  @Override
  public boolean isEmpty() {
    return answer.get() == Answer.NOT_YET;
  }

  @Override
  public Optional<Message> problem() {
    return Optional.empty();
  }
}
