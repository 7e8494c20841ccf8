package zebrawood.desktop.cards;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.cards.Grade;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Ways;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * A card read without a picture: a line for each speed, with a letter or a number for each square
 * from the left.
 */
final class SquareRows {
  private static final double DEEPEST_MM = 1000;

  private final GridFields grid;
  private final List<WordsField> grades;
  private final List<WordsField> figures;
  private final List<WordsField> depths;

  SquareRows(StationForm form, GridFields grid) {
    this.grid = grid;
    grades = rows(form, "grade", SquareRows::checkLetters);
    figures = rows(form, "figure", SquareRows::numbers);
    depths = rows(form, "depth", SquareRows::depthsOf);
  }

  private static List<WordsField> rows(StationForm form, String name, Consumer<String> reader) {
    return IntStream.rangeClosed(1, GridFields.MOST_A_SIDE)
        .mapToObj(i ->
            form.words("visit." + name + "." + i, Message.of("cards.field." + name, i), reader))
        .toList();
  }

  private List<WordsField> used(List<WordsField> all) {
    return grid.rows.value().isPresent() ? all.subList(0, grid.rowCount()) : List.of();
  }

  Ways.Ask byKeys() {
    return ask(
        "cards.grades.hint",
        () -> used(grades),
        w -> letters(w).length() != grid.columnCount(),
        "cards.wait.grades");
  }

  Ways.Ask byFigures() {
    return ask(
        "cards.figures.hint",
        () -> used(figures),
        w -> numbers(w.text()).size() != grid.columnCount(),
        "cards.wait.figures");
  }

  Ways.Ask byDepth() {
    return ask(
        "cards.depths.hint",
        () -> used(depths),
        w -> depthsOf(w.text()).size() != grid.columnCount(),
        "cards.wait.depths");
  }

  /** The fastest at the top, as on the card. */
  private Ways.Ask ask(
      String hint,
      Supplier<List<WordsField>> shown,
      Predicate<WordsField> unfinished,
      String waits) {
    return new Ways.Ask(
        () -> shown.get().stream(),
        Stream::empty,
        () ->
            shown.get().stream().anyMatch(unfinished)
                ? Optional.of(Message.of(waits))
                : Optional.empty(),
        Optional.of(
            new Part.Together(
                List.of(
                    Part.hint(hint),
                    new Part.Redrawn(
                        grid.rows.textProperty(),
                        () -> List.of(Part.rows(shown.get().reversed())))))));
  }

  private static String letters(WordsField row) {
    return row.text().replaceAll("\\s+", "");
  }

  private static void checkLetters(String words) {
    for (char c : words.replaceAll("\\s+", "").toCharArray()) {
      if (Grade.of(c).isEmpty()) {
        throw UnusableReading.of(
            "visit.grade", Message.quoted(String.valueOf(c)), Message.of("cards.accepts.keys"));
      }
    }
  }

  /** Numbers in a line. */
  private static List<Double> numbers(String words) {
    return Stream.of(words.strip().split("[\\s;]+"))
        .filter(w -> !w.isEmpty())
        .map(SquareRows::number)
        .toList();
  }

  private static double number(String word) {
    double value = plain(word);
    if (!(value >= -0.1 && value <= 1)) {
      throw UnusableReading.of(
          "visit.figure", Message.quoted(word), Message.of("cards.accepts.darkness"));
    }
    return value;
  }

  private static double plain(String word) {
    return word.matches("[+-]?\\d*[.,]?\\d+")
        ? Double.parseDouble(word.replace(',', '.'))
        : Double.NaN;
  }

  /** Depths in a line, in mm. */
  private static List<Double> depthsOf(String words) {
    List<Double> all =
        Stream.of(words.strip().split("[\\s;]+"))
            .filter(w -> !w.isEmpty())
            .map(SquareRows::plain)
            .toList();
    if (!all.stream().allMatch(mm -> mm >= 0 && mm <= DEEPEST_MM)) {
      throw UnusableReading.of(
          "visit.depth", Message.quoted(words), Message.of("cards.accepts.depths"));
    }
    return all;
  }

  /** As typed, row by row from the front. */
  List<String> letters() {
    return used(grades).stream().map(SquareRows::letters).toList();
  }

  List<List<Grade>> grades() {
    return letters().stream()
        .map(row -> row.chars().mapToObj(c -> Grade.of((char) c).orElseThrow()).toList())
        .toList();
  }

  List<List<Double>> darkness() {
    return used(figures).stream().map(w -> numbers(w.text())).toList();
  }

  /** As far as they can be read. */
  List<List<Double>> depthsMm() {
    return used(depths).stream()
        .map(w -> w.problem().isEmpty() ? depthsOf(w.text()) : List.<Double>of())
        .toList();
  }

  /** One grade further with each press; what is not typed yet is too light. */
  void nextGrade(int column, int row) {
    if (row >= used(grades).size()) {
      return;
    }
    WordsField field = grades.get(row);
    StringBuilder letters = new StringBuilder(letters(field));
    while (letters.length() < grid.columnCount()) {
      letters.append(Grade.TOO_LIGHT.key());
    }
    Grade now = Grade.of(letters.charAt(column)).orElse(Grade.TOO_LIGHT);
    Grade next = Grade.values()[(now.ordinal() + 1) % Grade.values().length];
    letters.setCharAt(column, next.key());
    field.set(letters.toString());
  }

  /** Types what a caliper reads. */
  void setDepths(List<String> lines) {
    IntStream.range(0, lines.size()).forEach(i -> depths.get(i).set(lines.get(i)));
  }

  /** Types what a hand reads. */
  void set(List<String> lines, boolean ofGrades) {
    List<WordsField> into = ofGrades ? grades : figures;
    IntStream.range(0, lines.size()).forEach(i -> into.get(i).set(lines.get(i)));
  }
}
