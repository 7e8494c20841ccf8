package zebrawood.desktop.fault;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.fault.CauseTest;
import zebrawood.fault.FaultReadings.Answer;
import zebrawood.fault.Outcome;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/** Answers of tests that are made once more, and tests that were skipped, as kept words. */
final class Earlier {
  private final WordsField answers;
  private final WordsField skipped;

  Earlier(StationForm form) {
    answers = form.words("reading.earlier", words -> read(words));
    skipped = form.words("reading.skipped");
  }

  Stream<Field> fields() {
    return Stream.of(answers);
  }

  private static List<Answer> read(String words) {
    List<Answer> read = new ArrayList<>();
    for (String one : words.strip().split("\\s+")) {
      String[] parts = one.split(":");
      try {
        read.add(new Answer(CauseTest.valueOf(parts[0]), Outcome.valueOf(parts[1])));
      } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
        throw UnusableReading.of(
            "earlier", Message.quoted(one), Message.of("fault.accepts.earlier"));
      }
    }
    return read;
  }

  List<Answer> answers() {
    return answers.isEmpty() ? List.of() : read(answers.text());
  }

  void add(Answer answer) {
    answers.set((answers.text() + " " + answer.test() + ":" + answer.outcome()).strip());
  }

  boolean skipped(CauseTest test) {
    return List.of(skipped.text().split(" ")).contains(spelled(test));
  }

  boolean skippedAny() {
    return !skipped.isEmpty();
  }

  void skip(CauseTest test) {
    skipped.set((skipped.text() + " " + spelled(test)).strip());
  }

  private static String spelled(CauseTest test) {
    return test.name().toLowerCase(Locale.ROOT);
  }
}
