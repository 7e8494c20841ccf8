package zebrawood.desktop.trial;

import java.util.List;
import java.util.stream.Stream;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.quantity.Quantity;
import zebrawood.records.cards.TrialArtwork;
import zebrawood.words.Message;

/** The piece to burn, as a file. */
final class ArtworkSection extends Section<Void, Void> {
  /** Whether it is cut out. */
  enum Outline {
    CUT,
    ENGRAVED
  }

  private final QuantityField atX;
  private final QuantityField atY;
  private final ChoiceField<Outline> outline;
  private final QuantityField engraveSpeed;
  private final QuantityField engraveWord;
  private final QuantityField interval;
  private final QuantityField cutSpeed;
  private final QuantityField cutWord;
  private final WordsField file;

  ArtworkSection(StationForm form) {
    super(Message.of("trial.artwork.hint"));
    atX = at(form, "atX", "trial.right");
    atY = at(form, "atY", "trial.rear");
    outline = form.choice("outline", Outline.class, Outline.CUT);
    engraveSpeed = form.positive("engraveSpeed", Quantity.SPEED, 50_000);
    engraveWord = form.positive("engraveWord", Quantity.NUMBER, 1_000_000);
    interval = form.quantity("interval", Quantity.LINE_INTERVAL, 0.01, 10);
    cutSpeed = form.positive("cutSpeed", Quantity.SPEED, 50_000);
    cutWord = form.positive("cutWord", Quantity.NUMBER, 1_000_000);
    file = form.words("pieceFile");
  }

  private static QuantityField at(StationForm form, String name, String which) {
    return form.quantity(
        name, Message.of("trial.field.at", Message.of(which)), Quantity.LENGTH, -10_000, 10_000);
  }

  private List<QuantityField> settings() {
    return List.of(engraveSpeed, engraveWord, interval, cutSpeed, cutWord);
  }

  @Override
  public Stream<Field> fields() {
    return Stream.concat(Stream.of(atX, atY), settings().stream());
  }

  @Override
  public Part part() {
    return Part.fold(
        "trial.artwork",
        said(),
        Part.rows(outline, atX, atY),
        Part.rows(settings()),
        Part.rows(file),
        new Part.Press("trial-write", Message.of("trial.artwork.write"), this::write));
  }

  private void write() {
    if (atX.value().isEmpty() || atY.value().isEmpty()) {
      say(Message.of("trial.artwork.needs-place"));
      return;
    }
    TrialArtwork piece = new TrialArtwork(atX.number(), atY.number(), outline.get() == Outline.CUT);
    var with = settings().stream().map(QuantityField::value).toList();
    withFile(
        file,
        Message.of("field.file.no-name"),
        (name, progress) -> {
          piece.write(name, with);
          return Message.of("field.file.written", Message.quoted(name));
        });
  }
}
