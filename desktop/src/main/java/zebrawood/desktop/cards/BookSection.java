package zebrawood.desktop.cards;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import zebrawood.cards.BookLine;
import zebrawood.cards.BookLine.Origin;
import zebrawood.cards.CardSetting;
import zebrawood.cards.CardsFinding.Chosen;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.text.Text;
import zebrawood.records.cards.BookFile;
import zebrawood.records.cards.ConfirmPiece;
import zebrawood.words.Message;

/** The settings that are kept of this stock through this lens. */
final class BookSection extends Section<List<BookLine>, Void> {
  private static final int MOST_LINES = 40;

  private final StationForm form;
  final Group<BookRow> rows;
  private final WordsField work;
  private final WordsField file;
  private final WordsField confirmFile;
  private final Supplier<Optional<Chosen>> chosen;
  private final Supplier<OptionalDouble> intervalMm;
  private final Supplier<String> subject;
  private final PlanSection plan;

  BookSection(
      StationForm form,
      Supplier<Optional<Chosen>> chosen,
      Supplier<OptionalDouble> intervalMm,
      Supplier<String> subject,
      PlanSection plan) {
    super(Message.of("cards.book.hint"));
    this.form = form;
    this.chosen = chosen;
    this.intervalMm = intervalMm;
    this.subject = subject;
    this.plan = plan;
    rows = form.group("book", 1, MOST_LINES, i -> BookRow.make(form, i));
    work = form.plainWords("bookWork");
    file = form.words("bookFile");
    confirmFile = form.words("confirmFile");
  }

  @Override
  public Stream<Field> fields() {
    return IntStream.range(0, rows.size()).mapToObj(rows::fieldsOf).flatMap(List::stream);
  }

  @Override
  public Part part() {
    return Part.fold(
        "cards.book",
        said(),
        Part.rows(confirmFile),
        new Part.Press("cards-write-confirm", Message.of("cards.confirm.write"), this::confirm),
        Part.rows(work),
        new Part.Press("cards-to-book", Message.of("cards.book.put"), this::put),
        new Part.GrowingRows(
            rows,
            Stream.of("work", "speed", "power", "interval")
                .map(h -> Message.of("cards.book.heading-" + h))
                .toList(),
            Message.of("cards.book.another")),
        new Part.Redrawn(
            rows.rowsProperty(),
            () ->
                IntStream.range(0, rows.size())
                    .<Part>mapToObj(i ->
                        new Part.Fold(
                            "cards-book-line-" + (i + 1) + "-fold",
                            Message.of("cards.book.rest", i + 1),
                            List.of(Part.rows(rows.rows().get(i).rest().toList()))))
                    .toList()),
        Part.rows(file),
        new Part.Press("cards-write-book", Message.of("cards.book.write"), this::write),
        new Part.Press("cards-read-book", Message.of("cards.book.read"), this::readBook));
  }

  List<BookLine> lines() {
    return rows.rows().stream().filter(BookRow::told).map(BookRow::line).toList();
  }

  @Override
  protected Optional<List<BookLine>> understood() {
    return Optional.of(lines());
  }

  /** A line of the book that was burnt here, the newest. */
  Optional<BookLine> lastGood() {
    return lines().reversed().stream().filter(l -> l.from() != Origin.COPIED).findFirst();
  }

  /**
   * A large area, fine lines and tiny letters with the chosen setting, where the card would lie.
   */
  private void confirm() {
    Optional<Chosen> setting = chosen.get();
    OptionalDouble apart =
        setting.flatMap(Chosen::all).map(CardSetting::intervalMm).orElseGet(intervalMm);
    if (setting.isEmpty() || apart.isEmpty()) {
      say(Message.of("cards.book.nothing-chosen"));
      return;
    }
    Optional<double[]> at = plan.firstSquareMm();
    if (at.isEmpty()) {
      say(Message.of("cards.confirm.needs-place"));
      return;
    }
    if (plan.neverBurnt().isPresent()) {
      say(plan.neverBurnt().get());
      return;
    }
    Chosen chosenNow = setting.get();
    OptionalDouble word = plan.wordOf(chosenNow.percent());
    double interval = apart.getAsDouble();
    withFile(
        confirmFile,
        Message.of("field.file.no-name"),
        (name, progress) -> {
          new ConfirmPiece(at.get()[0], at.get()[1], chosenNow.speedMmS(), word, interval)
              .write(name);
          return Message.of("field.file.written", Message.quoted(name));
        });
  }

  private void put() {
    Optional<Chosen> setting = chosen.get();
    if (setting.isEmpty() || work.isEmpty()) {
      say(Message.of(setting.isEmpty() ? "cards.book.nothing-chosen" : "cards.book.no-work"));
      return;
    }
    int without = add(List.of(line(setting.get())));
    say(
        without == 0
            ? Message.of("cards.book.was-put", Message.quoted(work.text().strip()))
            : Message.of("cards.book.full", 0, without));
  }

  private BookLine line(Chosen c) {
    OptionalDouble none = OptionalDouble.empty();
    return new BookLine(
        work.text().strip(),
        OptionalDouble.of(c.speedMmS()),
        none,
        OptionalDouble.of(c.percent()),
        c.all().map(CardSetting::intervalMm).orElseGet(intervalMm),
        c.all().map(CardSetting::passes).orElse(none),
        none,
        none,
        c.all().map(CardSetting::khz).orElse(none),
        c.all().map(CardSetting::pulseNs).orElse(none),
        c.all().map(CardSetting::wobbleMm).orElse(none),
        Optional.empty(),
        Origin.CARD);
  }

  /**
   * In the place of lines for the same work, else behind them. A copy never takes the place of what
   * was burnt here.
   *
   * @return how many found no room
   */
  private int add(List<BookLine> more) {
    List<BookLine> all = new ArrayList<>(lines());
    int without = 0;
    for (BookLine line : more) {
      int at =
          IntStream.range(0, all.size())
              .filter(i -> all.get(i).work().equalsIgnoreCase(line.work()))
              .filter(i -> line.from() != Origin.COPIED || all.get(i).from() == Origin.COPIED)
              .findFirst()
              .orElse(-1);
      if (at >= 0) {
        all.set(at, line);
      } else if (all.size() < MOST_LINES) {
        all.add(line);
      } else {
        without++;
      }
    }
    form.allAtOnce(() -> {
      rows.resize(all.size());
      IntStream.range(0, all.size()).forEach(i -> rows.rows().get(i).set(all.get(i)));
    });
    return without;
  }

  private void write() {
    BookFile book = BookFile.of(subject.get(), lines());
    withFile(
        file,
        Message.of("field.file.no-name"),
        (name, progress) -> {
          book.write(name, Text.words());
          return Message.of("field.file.written", Message.quoted(name));
        });
  }

  private void readBook() {
    String name = file.text().strip();
    if (name.isEmpty()) {
      say(Message.of("field.file.no-name"));
      return;
    }
    station()
        .make(
            progress -> BookFile.read(name),
            lines -> {
              int without = add(lines);
              say(
                  without == 0
                      ? Message.of("cards.book.was-read", lines.size())
                      : Message.of("cards.book.full", lines.size() - without, without));
            });
  }
}
