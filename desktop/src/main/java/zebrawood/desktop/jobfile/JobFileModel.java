package zebrawood.desktop.jobfile;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.controller.Role;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.job.JobFileReading;
import zebrawood.desktop.station.AtMachine;
import zebrawood.desktop.station.AuditedWords;
import zebrawood.desktop.station.FigureTile;
import zebrawood.desktop.station.Outcome;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.text.Text;
import zebrawood.jobfile.FileUnit;
import zebrawood.jobfile.JobFileStation;
import zebrawood.jobfile.JobFinding;
import zebrawood.jobfile.JobLook;
import zebrawood.jobfile.JobReader;
import zebrawood.jobfile.JobReadings;
import zebrawood.jobfile.JobReadings.Origin;
import zebrawood.jobfile.JobReadings.OtherPercent;
import zebrawood.jobfile.JobReadings.Timed;
import zebrawood.jobfile.Motion;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/** A look into a job file of one machine. */
public final class JobFileModel extends StationModel<JobReadings, JobFinding> {
  public static final StationDefinition DEFINITION =
      StationDefinition.opened(JobFileStation.STATION, JobFileModel::new);

  private static final Quantity MM = Quantity.LENGTH;
  private static final double MOST_MM = 100_000;
  private static final double MOST_WORD = 1e6;
  private static final double MOST_S = 1e7;
  private static final double MOST_ACCELERATION = 1e6;
  private static final double MOST_SPEED = 1e5;
  private static final double PERCENT = 100;

  private final WordsField file = form().words("reading.file");
  private final ChoiceField<FileUnit> unit =
      form()
          .choice(
              "unit",
              Message.of("jobfile.field.unit"),
              List.of(FileUnit.NOT_SAID, FileUnit.MM, FileUnit.INCH),
              FileUnit.NOT_SAID);
  private final QuantityField travelX = form().positive("travelX", MM, MOST_MM);
  private final QuantityField travelY = form().positive("travelY", MM, MOST_MM);
  private final ChoiceField<Origin> origin = form().choice("origin", Origin.class, Origin.NOT_SAID);
  private final QuantityField topWord = form().positive("topWord", Quantity.NUMBER, MOST_WORD);
  private final QuantityField accelerationX =
      form().positive("accelerationX", Quantity.ACCELERATION, MOST_ACCELERATION);
  private final QuantityField accelerationY =
      form().positive("accelerationY", Quantity.ACCELERATION, MOST_ACCELERATION);
  private final QuantityField rapid = form().positive("rapid", Quantity.SPEED, MOST_SPEED);
  private final QuantityField round = form().positive("reading.round", MM, MOST_MM);
  private final QuantityField section = form().positive("reading.section", MM, MOST_MM);
  private final QuantityField calculated = form().positive("calculated", Quantity.TIME, MOST_S);
  private final QuantityField took = form().positive("took", Quantity.TIME, MOST_S);
  private final QuantityField percent =
      form().positive("reading.percent", Quantity.PERCENT, PERCENT);
  private final WordsField otherFile = form().words("reading.otherFile");
  private final QuantityField otherPercent =
      form().positive("reading.otherPercent", Quantity.PERCENT, PERCENT);
  private final ReadOnlyObjectWrapper<Message> said = new ReadOnlyObjectWrapper<>(Message.NONE);
  private final JobFilePractice practice = new JobFilePractice(this);
  private final AtMachine at;
  private Optional<Looked> looked = Optional.empty();

  /**
   * What was looked into last.
   *
   * @param file as it was named, {@code otherFile} the one at another percentage
   * @param motion with which its time was worked out
   */
  private record Looked(
      String file,
      String otherFile,
      Motion motion,
      JobReader.Read read,
      OptionalDouble otherTopWord) {}

  public JobFileModel(AtMachine at) {
    super(new StationForm("jobfile", at.units()), JobFileStation.VISIT);
    this.at = at;
    travelX.set(at.machine().areaXMm());
    travelY.set(at.machine().areaYMm());
    take(at.ledger());
    startSolving();
  }

  /** What the controller was left with is not asked again. */
  private void take(Ledger ledger) {
    take(ledger, Role.TOP_POWER_WORD, topWord);
    take(ledger, Role.ACCELERATION_X, accelerationX);
    take(ledger, Role.ACCELERATION_Y, accelerationY);
  }

  private static void take(Ledger ledger, Role role, QuantityField into) {
    if (into.isEmpty()) {
      AuditedWords.settingLeft(ledger, role).ifPresent(into::set);
    }
  }

  @Override
  protected void recordChanged(List<Entry> entries) {
    take(context().map(c -> c.workshop().opened().ledger()).orElse(at.ledger()));
  }

  private Motion motion() {
    return new Motion(accelerationX.value(), accelerationY.value(), rapid.value());
  }

  private boolean isLookedAt() {
    return looked
        .filter(l -> l.file.equals(text(file)) && l.otherFile.equals(text(otherFile)))
        .filter(l -> l.motion.equals(motion()))
        .isPresent();
  }

  /** Reads what is named, beside the interface. */
  private void look() {
    String name = text(file);
    String other = text(otherFile);
    Motion now = motion();
    if (practice.running()) {
      return;
    }
    said.set(Message.NONE);
    make(
        progress -> {
          JobReader.Read read =
              JobFileReading.read(name, now, progress, 0, other.isEmpty() ? 1 : 0.5);
          OptionalDouble word =
              other.isEmpty()
                  ? OptionalDouble.empty()
                  : JobFileReading.read(other, now, progress, 0.5, 1).look().topWord();
          return new Looked(name, other, now, read, word);
        },
        this::looked);
  }

  private void looked(Looked now) {
    looked = Optional.of(now);
    JobLook look = now.read.look();
    said.set(Message.of("jobfile.read", Message.quoted(look.name()), look.lines(), look.moves()));
    solveAgain();
  }

  /** Shows a program that is no file. */
  void show(String program) {
    String name = Text.of("jobfile.practice.file");
    file.set(name);
    try {
      byte[] bytes = program.getBytes(StandardCharsets.UTF_8);
      JobReader.Read read =
          JobReader.read(name, new ByteArrayInputStream(bytes), motion(), reached -> {});
      looked(new Looked(name, text(otherFile), motion(), read, OptionalDouble.empty()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  void forget() {
    looked = Optional.empty();
    form().clearReadings();
  }

  /** What a practice needs beside its file. */
  void asThere(double top) {
    topWord.set(top);
    accelerationX.set(3000);
    accelerationY.set(3000);
    rapid.set(300);
    origin.set(Origin.CORNER);
  }

  double travelXMm() {
    return at.machine().areaXMm();
  }

  double travelYMm() {
    return at.machine().areaYMm();
  }

  @Override
  public Optional<Order> order() {
    return isLookedAt() || file.isEmpty() || practice.running()
        ? Optional.empty()
        : Optional.of(new Order(Message.of("jobfile.read-it"), this::look));
  }

  @Override
  protected Stream<Field> needed() {
    Stream<Field> timed =
        calculated.isEmpty() && took.isEmpty() ? Stream.of() : Stream.of(calculated, took);
    Stream<Field> other = otherFile.isEmpty() ? Stream.of() : Stream.of(percent, otherPercent);
    return Stream.of(Stream.<Field>of(file), timed, other).flatMap(f -> f);
  }

  @Override
  protected Optional<Message> waitsFor() {
    return isLookedAt() ? Optional.empty() : Optional.of(Message.of("jobfile.look-first"));
  }

  @Override
  protected JobReadings readings() {
    Looked now = looked.orElseThrow();
    return new JobReadings(
        now.read.look(),
        unit.get(),
        travelX.value(),
        travelY.value(),
        origin.get(),
        topWord.value(),
        now.motion,
        round.value(),
        section.value(),
        calculated.value().isPresent() && took.value().isPresent()
            ? Optional.of(new Timed(calculated.number(), took.number()))
            : Optional.empty(),
        now.otherTopWord.isPresent()
            ? Optional.of(
                new OtherPercent(
                    percent.number(), otherPercent.number(), now.otherTopWord.getAsDouble()))
            : Optional.empty());
  }

  @Override
  public List<Part> parts() {
    return List.of(
        Part.heading("sheet.readings", "sheet.keys"),
        new Part.FileName(file, "jobfile-choose"),
        new Part.Press("jobfile-look", Message.of("jobfile.read-it"), this::look),
        new Part.LiveText(said),
        Part.rows(unit),
        new Part.ReadingStatus(),
        new Part.PracticeEntry(),
        Part.heading("jobfile.machine", "jobfile.machine.why"),
        Part.rows(travelX, travelY, origin, topWord, accelerationX, accelerationY, rapid),
        Part.fold("jobfile.turned", Part.rows(round, section)),
        Part.fold("jobfile.time", Part.hint("jobfile.time.why"), Part.rows(calculated, took)),
        Part.fold(
            "jobfile.percentages",
            Part.hint("jobfile.percentages.why"),
            Part.rows(percent),
            new Part.FileName(otherFile, "jobfile-choose-other"),
            Part.rows(otherPercent)));
  }

  @Override
  public void draw(Canvas on) {
    new JobPicture(on).draw(looked.map(l -> l.read.drawing()), solved());
  }

  @Override
  public List<FigureTile> tiles(Outcome.Solved<JobReadings, JobFinding> solved) {
    JobFinding f = solved.finding();
    JobLook look = solved.readings().look();
    List<FigureTile> tiles = new ArrayList<>();
    FigureTile wrong =
        FigureTile.of(
            Message.of("jobfile.tile.wrong"), Amount.of(f.problems().size(), Quantity.NUMBER, 0));
    tiles.add(
        !f.problems().isEmpty()
            ? wrong.judged(false, Message.of(f.problems().getFirst().kind()))
            : f.notJudged().isEmpty()
                ? wrong.judged(true, Message.of("jobfile.tile.none"))
                : wrong.with(Message.of("jobfile.tile.nothing-known")));
    tiles.add(
        f.seconds().isPresent()
            ? FigureTile.of(
                    Message.of("jobfile.tile.time"),
                    Amount.of(f.seconds().getAsDouble(), Quantity.TIME, 0))
                .with(Message.of(f.timeBy()))
            : FigureTile.unknown(Message.of("jobfile.tile.time"), Message.of(f.timeBy())));
    look.topWord()
        .ifPresent(word -> {
          FigureTile power =
              FigureTile.of(Message.of("jobfile.tile.power"), Amount.of(word, Quantity.NUMBER, 0));
          tiles.add(
              topWord.value().isPresent()
                  ? power.with(
                      Message.of(
                          "jobfile.tile.of", Amount.of(topWord.number(), Quantity.NUMBER, 0)))
                  : power);
        });
    f.burntMm()
        .ifPresent(b ->
            tiles.add(
                FigureTile.of(Message.of("jobfile.tile.size"), Amount.mm(b.width(), 1))
                    .with(Message.of("jobfile.tile.up", Amount.mm(b.depth(), 1)))));
    return tiles;
  }

  @Override
  public Optional<Practice<?, ?, JobReadings, JobFinding>> practice() {
    return Optional.of(practice);
  }
}
