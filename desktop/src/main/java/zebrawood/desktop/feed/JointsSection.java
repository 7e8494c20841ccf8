package zebrawood.desktop.feed;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.job.JobFileReading;
import zebrawood.desktop.job.Jobs;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.feed.Band;
import zebrawood.feed.FeedFinding;
import zebrawood.feed.Free;
import zebrawood.feed.Joint;
import zebrawood.jobfile.BurntAlong;
import zebrawood.jobfile.BurntAlong.Axis;
import zebrawood.jobfile.FileUnit;
import zebrawood.jobfile.JobReader;
import zebrawood.jobfile.Motion;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.feed.FeedMarks;
import zebrawood.words.Message;

/** Where the joints had better lie: beside what is burnt, typed or read from the job's file. */
final class JointsSection extends Section<Free, Void> {
  private static final Pattern STRETCH =
      Pattern.compile("\\s*(\\d+(?:[.,]\\d+)?)\\s*[-–]\\s*(\\d+(?:[.,]\\d+)?)\\s*");
  private static final double MOST = 1_000_000;
  private static final int SHOWN = 6;

  /** A narrower gap is one between two letters, no place for a joint. */
  private static final double LEAST_MM = 1;

  private static final int MOST_STRETCHES = 500;
  private static final double TENTHS = 10;
  private static final double ROUNDING = 1e-6;
  private static final Motion NO_MATTER =
      new Motion(OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

  private final WordsField free;
  private final WordsField job;
  private final ChoiceField<Axis> axis;
  private final QuantityField width;
  private final QuantityField inset;
  private final WordsField marks;
  private final QuantityField piece;
  private final ReadOnlyObjectWrapper<Message> listed = new ReadOnlyObjectWrapper<>(Message.NONE);
  private final Supplier<Optional<FeedFinding>> finding;
  private final Supplier<Double> stepMm;

  /**
   * @param stepMm of a section, where nobody said what is free
   */
  JointsSection(
      StationForm form,
      QuantityField piece,
      Supplier<Optional<FeedFinding>> finding,
      Supplier<Double> stepMm) {
    super(Message.of("feed.joints.hint"));
    this.piece = piece;
    this.finding = finding;
    this.stepMm = stepMm;
    free = form.words("reading.free");
    job = form.words("reading.job");
    axis = form.choice("along", Axis.class, Axis.X);
    width = form.positive("reading.width", Quantity.LENGTH, MOST);
    inset = form.positive("inset", Quantity.LENGTH, MOST);
    marks = form.words("marksFile");
    inset.set(5);
  }

  @Override
  public Stream<? extends Field> fields() {
    return Stream.of(free);
  }

  @Override
  public Part part() {
    return Part.fold(
        "feed.joints",
        said(),
        Part.rows(free),
        Part.rows(job, axis),
        new Part.Press("feed-read-job", Message.of("feed.read-job"), this::readJob),
        new Part.LiveText(listed),
        Part.heading("feed.marks", "feed.marks.why"),
        Part.rows(width, inset, marks),
        new Part.Press("feed-write-marks", Message.of("feed.write-marks"), this::writeMarks));
  }

  @Override
  protected Optional<Free> understood() {
    String typed = free.text().strip();
    if (typed.isEmpty()) {
      return Optional.empty();
    }
    List<Band> bands = new ArrayList<>();
    for (String one : typed.split(";")) {
      Matcher stretch = STRETCH.matcher(one);
      if (!stretch.matches()) {
        throw UnusableReading.of(
            "free", Message.quoted(one.strip()), Message.of("feed.accepts.stretches"));
      }
      bands.add(new Band(number(stretch.group(1)), number(stretch.group(2))));
    }
    return Optional.of(new Free(bands));
  }

  private static double number(String typed) {
    return Double.parseDouble(typed.replace(',', '.'));
  }

  /** What a file came to stands in its own line. */
  @Override
  protected Message words() {
    listed.set(list(finding.get().map(FeedFinding::joints).orElse(List.of())));
    return Message.NONE;
  }

  private static Message list(List<Joint> joints) {
    List<Message> lines = new ArrayList<>();
    for (int i = 0; i < Math.min(SHOWN, joints.size()); i++) {
      Joint j = joints.get(i);
      lines.add(
          Message.of(
              j.free() ? "feed.joint" : "feed.joint.across",
              i + 1,
              Amount.mm(j.placeMm(), 1),
              Amount.mm(j.commandMm(), 2)));
    }
    if (joints.size() > SHOWN) {
      lines.add(Message.of("feed.joints.more", joints.size() - SHOWN));
    }
    return lines.isEmpty() ? Message.NONE : Message.list(lines);
  }

  private void readJob() {
    if (piece.value().isEmpty()) {
      say(Message.of("feed.job.needs-piece"));
      return;
    }
    double length = piece.number();
    Axis of = axis.get();
    String name = job.text().strip();
    if (name.isEmpty()) {
      say(Message.of("field.file.no-name"));
      return;
    }
    station().make(progress -> gaps(name, of, length, progress), this::wereRead);
  }

  /** What was read of a job, and what is to be said of it beside. */
  private record Gaps(List<BurntAlong.Stretch> stretches, List<Message> said) {}

  private void wereRead(Gaps gaps) {
    free.set(gaps.stretches.stream().map(JointsSection::written).collect(Collectors.joining("; ")));
    say(Message.sentences(gaps.said));
  }

  /** To a tenth of a millimetre, never more than is free. */
  private static String written(BurntAlong.Stretch s) {
    return String.format(
        Locale.ROOT,
        "%.1f-%.1f",
        Math.max(0.0, Math.ceil(TENTHS * s.fromMm() - ROUNDING) / TENTHS),
        Math.floor(TENTHS * s.toMm() + ROUNDING) / TENTHS);
  }

  /** The piece begins where the job does: at 0 of the file. */
  private static Gaps gaps(String name, Axis of, double lengthMm, Jobs.Progress progress) {
    JobReader.Read read = JobFileReading.read(name, NO_MATTER, progress, 0, 1);
    List<Message> said = new ArrayList<>();
    if (!read.look().placeKnown()) {
      return new Gaps(List.of(), List.of(Message.of("feed.job.no-place")));
    }
    if (read.look().unit() == FileUnit.NOT_SAID) {
      said.add(Message.of("feed.job.no-unit"));
    }
    List<BurntAlong.Stretch> free = read.along().free(of, 0, lengthMm, LEAST_MM);
    if (free.isEmpty()) {
      said.add(Message.of("feed.job.full"));
    } else if (free.size() > MOST_STRETCHES) {
      said.add(Message.of("feed.job.many", free.size(), MOST_STRETCHES));
      free =
          free.stream()
              .sorted(Comparator.comparingDouble(s -> s.fromMm() - s.toMm()))
              .limit(MOST_STRETCHES)
              .sorted(Comparator.comparingDouble(BurntAlong.Stretch::fromMm))
              .toList();
    } else {
      said.add(Message.of("feed.job.read", free.size()));
    }
    return new Gaps(free, said);
  }

  private void writeMarks() {
    if (finding.get().isEmpty()
        || piece.value().isEmpty()
        || width.value().isEmpty()
        || inset.value().isEmpty()) {
      say(Message.of("feed.marks.needs"));
      return;
    }
    FeedMarks crosses = new FeedMarks(places(), piece.number(), width.number(), inset.number());
    withFile(
        marks,
        Message.of("field.file.no-name"),
        (name, progress) -> {
          crosses.write(name);
          return Message.of("field.file.written", Message.quoted(name));
        });
  }

  /** As planned, or one section after another where nobody said what is free. */
  private List<Double> places() {
    FeedFinding found = finding.get().orElseThrow();
    if (!found.joints().isEmpty()) {
      return found.joints().stream().map(Joint::placeMm).toList();
    }
    List<Double> places = new ArrayList<>();
    for (int i = 1; i < found.sections(); i++) {
      places.add(i * stepMm.get());
    }
    return places;
  }
}
