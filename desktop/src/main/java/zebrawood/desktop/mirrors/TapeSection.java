package zebrawood.desktop.mirrors;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.photo.PhotoPlace;
import zebrawood.desktop.photo.PhotoView;
import zebrawood.desktop.station.Dragged;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.desktop.text.Text;
import zebrawood.measure.Picture;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.picture.Canvas;
import zebrawood.records.tape.TargetSheet;
import zebrawood.tape.TapePhoto;
import zebrawood.tape.TapePhotoFinding.Mark;
import zebrawood.tape.TapePhotoFinding.Shape;
import zebrawood.tape.TapePhotoFinding.Target;
import zebrawood.tape.TapePhotoReadings;
import zebrawood.tape.TapeSeen;
import zebrawood.words.Message;

/**
 * Marks from photographs of printed targets: read beside the window, shown where they are, moved by
 * hand where they are wrong, and taken into the rows.
 */
final class TapeSection extends Section<Void, Void> {
  private static final double MOST_OF_HEIGHT = 0.97;
  private static final double DECODING = 0.4;
  private static final double NEAR = 16;

  /** A resolution's deviation is so much smaller than itself. */
  private static final double RESOLUTION = Math.sqrt(12);

  /**
   * A burn on a target, where it is now.
   *
   * @param card of the picture's
   */
  private static final class Spot {
    final Optional<Integer> number;
    final TapeSeen.Card card;
    final Mark mark;
    double xMm;
    double yMm;

    Spot(Target target, TapeSeen.Card card, Mark mark) {
      number = target.number().stream().boxed().findFirst();
      this.card = card;
      this.mark = mark;
      xMm = mark.xMm();
      yMm = mark.yMm();
    }

    double[] px() {
      return card.px(xMm, yMm);
    }
  }

  private final StationForm form;
  private final PhotoPlace place;
  private final ChoiceField<TapeUse> use;
  private final QuantityField spanAcross;
  private final QuantityField spanUp;
  private final WordsField sheetFile;
  private final QuantityField resolution;
  private final Supplier<List<MarkFields>> rows;
  private final NozzleFields nozzle;
  private final BooleanProperty shown = new SimpleBooleanProperty();
  private Optional<TapeSeen> seen = Optional.empty();
  private List<Spot> spots = List.of();

  /**
   * @param resolution that marks are read to
   * @param rows the marks that are asked for now
   */
  TapeSection(
      StationForm form,
      QuantityField resolution,
      Supplier<List<MarkFields>> rows,
      NozzleFields nozzle) {
    super(Message.of("mirrors.tape.hint"));
    this.form = form;
    this.resolution = resolution;
    this.rows = rows;
    this.nozzle = nozzle;
    place = new PhotoPlace(form, "mirrors.tape", MOST_OF_HEIGHT, DECODING);
    use = form.choice("tapeUse", TapeUse.class, TapeUse.BY_NUMBER);
    spanAcross = form.quantity("spanAcross", Quantity.LENGTH, 30, 34);
    spanUp = form.quantity("spanUp", Quantity.LENGTH, 30, 34);
    sheetFile = form.words("targetFile");
  }

  /** From now on a picture that is named is read at once. */
  void follow() {
    place.follow(this::load);
    Stream.of(spanAcross, spanUp).forEach(f -> f.textProperty().subscribe((was, now) -> load()));
  }

  /** What moved in the picture, or was read: draws anew. */
  BooleanProperty shownProperty() {
    return shown;
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(spanAcross, spanUp);
  }

  @Override
  public Part part() {
    return Part.fold(
        "mirrors.tape",
        said(),
        place.marks().fileName("mirrors-tape-choose"),
        Part.rows(use),
        new Part.Press("mirrors-tape-take", Message.of("mirrors.tape.take"), this::take),
        new Part.Press("mirrors-tape-show", Message.of("mirrors.tape.show"), this::show),
        Part.hint("mirrors.tape.sheet-hint"),
        Part.rows(sheetFile, spanAcross, spanUp),
        new Part.Press("mirrors-tape-sheet", Message.of("mirrors.tape.sheet"), this::write));
  }

  /** Beside the window; then the marks are shown on the picture. */
  private void load() {
    String file = place.marks().file();
    seen = Optional.empty();
    spots = List.of();
    shown.set(false);
    if (file.isEmpty() || sheet().isEmpty()) {
      return;
    }
    Optional<List<Double>> spans =
        spanAcross.value().isPresent() && spanUp.value().isPresent()
            ? Optional.of(List.of(spanAcross.number(), spanUp.number()))
            : Optional.empty();
    TapePhotoReadings readings =
        new TapePhotoReadings(file, spans, OptionalDouble.empty(), Optional.empty());
    station()
        .make(
            progress -> {
              Picture picture = place.help(progress).pictures().apply(file);
              return TapePhoto.read(readings, picture);
            },
            this::found);
  }

  private void found(TapeSeen now) {
    seen = Optional.of(now);
    List<Spot> all = new ArrayList<>();
    List<Target> targets = now.finding().targets();
    for (int i = 0; i < targets.size(); i++) {
      Target target = targets.get(i);
      TapeSeen.Card card = now.cards().get(i);
      target.marks().forEach(m -> all.add(new Spot(target, card, m)));
    }
    spots = all;
    shown.set(true);
    List<Message> said = new ArrayList<>(now.finding().warnings());
    now.finding().advice().forEach(a -> said.add(a.what()));
    targets.forEach(t -> t.marks().forEach(m -> said.add(said(t, m))));
    say(
        said.stream()
            .reduce((before, next) -> Message.of("mirrors.tape.lines", before, next))
            .orElseThrow());
    solveAgain();
  }

  private static Message said(Target target, Mark mark) {
    Message of =
        target.number().isPresent()
            ? Message.of("mirrors.tape.on", target.number().getAsInt())
            : Message.of("mirrors.tape.on-unread");
    return Message.of(
        "mirrors.tape.found",
        of,
        Amount.mm(mark.xMm(), 2),
        Amount.mm(mark.yMm(), 2),
        Amount.mm(Math.max(mark.xMmUncertainty(), mark.yMmUncertainty()), 2),
        Amount.mm(mark.diameterMm(), 1),
        Message.of(mark.shape()));
  }

  private void show() {
    shown.set(!shown.get() && place.preview().isPresent());
    solveAgain();
  }

  /** Those whose place says something, by their targets' numbers, then from left to right. */
  private List<Spot> usable() {
    return spots.stream()
        .filter(s -> s.mark.shape() != Shape.IRREGULAR)
        .sorted(Comparator.comparingInt(s -> s.number.orElse(Integer.MAX_VALUE)))
        .toList();
  }

  private Optional<Spot> only(int number) {
    List<Spot> its = usable().stream().filter(s -> s.number.equals(Optional.of(number))).toList();
    return its.size() == 1 ? Optional.of(its.getFirst()) : Optional.empty();
  }

  private void take() {
    if (seen.isEmpty() && !place.marks().file().isEmpty()) {
      // Named on an earlier visit: read now, and taken with the next press.
      load();
      return;
    }
    if (spots.isEmpty()) {
      say(Message.of("mirrors.tape.nothing"));
      return;
    }
    List<Spot> taken = new ArrayList<>();
    form.allAtOnce(() -> {
      switch (use.get()) {
        case BY_NUMBER -> byNumber(taken);
        case IN_ORDER -> inOrder(taken);
        case PLUMB -> below(taken, nozzle.plumb(), 1);
        case POINTER -> below(taken, nozzle.pointer(), -1);
      }
      if (!taken.isEmpty()) {
        readTo(taken);
      }
    });
    if (!taken.isEmpty()) {
      shown.set(false);
    }
    say(Message.of("mirrors.tape.taken", taken.size(), spots.size()));
    solveAgain();
  }

  private void byNumber(List<Spot> taken) {
    List<MarkFields> asked = rows.get();
    for (int i = 0; i < asked.size(); i++) {
      MarkFields row = asked.get(i);
      only(i + 1).ifPresent(spot -> put(row, spot, taken));
    }
  }

  private void inOrder(List<Spot> taken) {
    List<MarkFields> asked = rows.get();
    List<Spot> all = usable();
    for (int i = 0; i < Math.min(asked.size(), all.size()); i++) {
      put(asked.get(i), all.get(i), taken);
    }
  }

  private static void put(MarkFields row, Spot spot, List<Spot> taken) {
    row.set(rounded(spot.xMm), rounded(spot.yMm));
    taken.add(spot);
  }

  /**
   * @param sign less than 0 where the cross lay on what is looked for: it lies from the mark as the
   *     mark does not from it
   */
  private void below(List<Spot> taken, List<QuantityField> into, int sign) {
    for (int i = 0; i < 2; i++) {
      Optional<Spot> spot = only(i + 1);
      if (spot.isPresent()) {
        into.get(2 * i).set(rounded(sign * spot.get().xMm));
        into.get(2 * i + 1).set(rounded(sign * spot.get().yMm));
        taken.add(spot.get());
      }
    }
  }

  private static double rounded(double mm) {
    return Math.round(100 * mm) / 100.0 + 0.0;
  }

  /** Marks are read to what the picture leaves open; beside typed ones, to the coarser of both. */
  private void readTo(List<Spot> taken) {
    double worst =
        taken.stream()
            .mapToDouble(s -> Math.max(s.mark.xMmUncertainty(), s.mark.yMmUncertainty()))
            .max()
            .orElseThrow();
    double to = Math.ceil(100 * RESOLUTION * worst) / 100;
    long begun = rows.get().stream().filter(MarkFields::begun).count();
    boolean alone =
        use.get() != TapeUse.PLUMB && use.get() != TapeUse.POINTER && begun <= taken.size();
    resolution.set(alone ? to : Math.max(to, resolution.value().orElse(to)));
  }

  private void write() {
    withFile(
        sheetFile,
        Message.of("mirrors.tape.needs-name"),
        (name, progress) -> {
          TargetSheet.write(name, Text.words());
          return Message.of("field.file.written", Message.quoted(name));
        });
  }

  /** Whether the photograph is shown in place of the tape's drawing. */
  boolean draws() {
    return shown.get() && seen.isPresent() && place.preview().isPresent();
  }

  void draw(Canvas on) {
    PhotoView view = place.view(on.width(), on.height()).orElseThrow();
    view.drawPicture(on);
    for (int i = 0; i < spots.size(); i++) {
      double[] px = spots.get(i).px();
      on.circle(view.x(px[0]), view.y(px[1]), 9, "photo-mark");
      String number = spots.get(i).number.map(String::valueOf).orElse("?");
      on.words(number, view.x(px[0]), view.y(px[1]), 20, "mark-number");
    }
  }

  /** A mark near the place, moved by the hand on its own target. */
  Optional<Dragged> grabbed(double x, double y, double width, double height) {
    return place
        .view(width, height)
        .flatMap(view ->
            spots.stream()
                .map(s -> Map.entry(s, Math.hypot(view.x(s.px()[0]) - x, view.y(s.px()[1]) - y)))
                .filter(e -> e.getValue() < NEAR)
                .min(Map.Entry.comparingByValue())
                .map(Map.Entry::getKey)
                .map(spot -> (toX, toY) -> move(view, spot, toX, toY)));
  }

  private void move(PhotoView view, Spot spot, double toX, double toY) {
    double[] mm = spot.card.mm(view.pxX(toX), view.pxY(toY));
    spot.xMm = mm[0];
    spot.yMm = mm[1];
    solveAgain();
  }
}
