package zebrawood.desktop.form;

import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.DisplayUnits;
import zebrawood.words.Message;

/** Free words as they are typed, which something may refuse to understand. */
public final class WordsField extends Field implements TypedField {
  private static final Pattern BARE_NUMBER =
      Pattern.compile("\\d+(?:\\.\\d+)?(?![\\d.]|\\s*[a-zA-Z\"])");

  private static final Pattern LINE = Pattern.compile("\\w+\\[(\\d{1,6})]");

  private static final Pattern IN_INCHES = Pattern.compile("(\\d)\\s*(?:in\\b|\")");
  private static final Pattern IN_MM = Pattern.compile("(\\d)\\s*mm\\b");

  private boolean lengths;
  private boolean inches;
  private boolean typing = true;
  private BiFunction<String, DisplayUnits, String> completed = (words, units) -> words;
  private DisplayUnits units = DisplayUnits.METRIC;
  private final StringProperty text = new SimpleStringProperty("");
  private final ReadOnlyObjectWrapper<Optional<Message>> problem =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  /**
   * @param reader understands the words, or throws {@link UnusableReading}; not asked while empty
   * @param plain whether a sign that cannot be seen is refused: in what people say, not in what a
   *     device prints
   */
  WordsField(String name, Message label, Consumer<String> reader, boolean plain) {
    super(name, label);
    text.subscribe((before, now) -> {
      String whole = typing ? completed.apply(now, units) : now;
      if (!whole.equals(now)) {
        text.set(whole);
        return;
      }
      problem.set(problemOf(kept(), reader, label, plain));
      changed();
    });
  }

  /**
   * Completes what somebody types or pastes, by the units that are shown; what is set or restored
   * is whole.
   */
  public void completing(BiFunction<String, DisplayUnits, String> complete) {
    completed = complete;
  }

  private void put(String words) {
    typing = false;
    try {
      text.set(words);
    } finally {
      typing = true;
    }
  }

  private static Optional<Message> problemOf(
      String words, Consumer<String> reader, Message label, boolean plain) {
    if (words.isBlank()) {
      return Optional.empty();
    }
    Optional<Message> unseen = plain ? PlainWords.problem(words) : Optional.empty();
    if (unseen.isPresent()) {
      return Optional.of(Message.of("words.of", label, unseen.get()));
    }
    try {
      reader.accept(words);
      return Optional.empty();
    } catch (UnusableReading e) {
      return Optional.of(refusal(e, label));
    }
  }

  /** A line of many is named by its number. */
  private static Message refusal(UnusableReading e, Message label) {
    var first = e.complaints().getFirst();
    Matcher line = LINE.matcher(first.field());
    return line.matches()
        ? Message.of(
            "form.refused",
            Message.of("form.line", label, Integer.parseInt(line.group(1))),
            first.found(),
            first.accepted())
        : StationForm.refusal(e);
  }

  @Override
  public StringProperty textProperty() {
    return text;
  }

  @Override
  public ReadOnlyObjectProperty<Optional<Message>> problemProperty() {
    return problem.getReadOnlyProperty();
  }

  @Override
  public Optional<Message> problem() {
    return problem.get();
  }

  @Override
  public Optional<Message> understood() {
    return Optional.empty();
  }

  @Override
  public boolean isEmpty() {
    return text.get().isBlank();
  }

  public void set(String words) {
    put(shown(words));
  }

  /** Of lengths, those in inches have their unit. */
  @Override
  String kept() {
    return lengths && inches ? BARE_NUMBER.matcher(text.get()).replaceAll("$0 in") : text.get();
  }

  /** The text as it means the same whatever units are shown: a bare length is in millimetres. */
  public String inMillimetres() {
    return kept();
  }

  /** A kept text as it is shown now. */
  private String shown(String kept) {
    return lengths && inches
        ? IN_INCHES.matcher(BARE_NUMBER.matcher(kept).replaceAll("$0 mm")).replaceAll("$1")
        : kept;
  }

  @Override
  void restore(String kept, DisplayUnits bare) {
    boolean bareInches = lengths && bare.length() == DisplayUnits.Length.INCH;
    put(shown(bareInches ? BARE_NUMBER.matcher(kept).replaceAll("$0 in") : kept));
  }

  /** Every length stays what it is. */
  @Override
  void setUnits(DisplayUnits now) {
    units = now;
    boolean nowInches = now.length() == DisplayUnits.Length.INCH;
    if (nowInches == inches) {
      return;
    }
    String kept = kept();
    inches = nowInches;
    if (lengths && !kept.isEmpty()) {
      put(inches ? shown(kept) : IN_MM.matcher(kept).replaceAll("$1"));
    }
  }

  /** Its bare numbers are lengths. */
  void holdLengths() {
    lengths = true;
  }

  @Override
  void clear() {
    put("");
  }
}
