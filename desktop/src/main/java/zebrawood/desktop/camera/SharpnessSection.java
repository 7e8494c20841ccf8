package zebrawood.desktop.camera;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.camera.PictureSharpness;
import zebrawood.camera.Sharpness;
import zebrawood.camera.SharpnessReadings;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.Group;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.devices.picture.PictureFile;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/** A camera on the head as an autofocus: the height at which its picture is sharpest. */
final class SharpnessSection extends Section<SharpnessReadings, Sharpness> {
  private static final int FIRST_ROWS = 5;
  private static final int MOST_ROWS = 60;
  private static final int LEAST_ROWS = 4;
  private static final double FARTHEST_MM = 2000;

  private final Group<SharpRow> rows;
  private final QuantityField beamAt;
  private final WordsField picture;
  private final WordsField folder;

  SharpnessSection(StationForm form) {
    super(Message.of("camera.autofocus.hint"));
    rows = form.group("visit.sharp", FIRST_ROWS, MOST_ROWS, i -> SharpRow.make(form, i));
    beamAt = form.quantity("beamAt", Quantity.LENGTH, -FARTHEST_MM, FARTHEST_MM);
    picture = form.words("visit.sharpPicture");
    folder = form.words("sharpFolder");
  }

  @Override
  public Stream<Field> fields() {
    return Stream.concat(
        rows.begun().stream().flatMap(r -> Stream.of(r.height(), r.sharpness())),
        Stream.of(beamAt));
  }

  @Override
  public Part part() {
    return Part.fold(
        "camera.autofocus",
        said(),
        new Part.GrowingRows(
            rows,
            List.of(Message.of("camera.heading.height"), Message.of("camera.heading.sharpness")),
            Message.of("camera.another-height")),
        new Part.FileName(picture, "camera-sharp-choose", Optional.of(folder)),
        new Part.Press("camera-sharp-measure", Message.of("camera.sharp.measure"), this::measure),
        Part.rows(beamAt));
  }

  private List<SharpRow> complete() {
    return rows.begun().stream().filter(SharpRow::complete).toList();
  }

  @Override
  protected Optional<SharpnessReadings> understood() {
    List<SharpRow> read = complete();
    return read.size() < LEAST_ROWS
        ? Optional.empty()
        : Optional.of(
            new SharpnessReadings(read.stream().map(SharpRow::rung).toList(), beamAt.value()));
  }

  @Override
  protected Optional<Sharpness> solve(SharpnessReadings reading) {
    return Optional.of(Sharpness.of(reading));
  }

  /** What a picture came to is said until a figure changes. */
  @Override
  protected Message words() {
    if (outcome().isPresent()) {
      return outcome().get().said();
    }
    int read = complete().size();
    return read == 0 || read >= LEAST_ROWS
        ? Message.NONE
        : Message.of("camera.sharp.wait", LEAST_ROWS - read);
  }

  /** How sharp the picture is goes to the first row whose height has no figure yet. */
  private void measure() {
    Optional<SharpRow> waits = rows.begun().stream().filter(SharpRow::waits).findFirst();
    String file = picture.text().strip();
    if (file.isEmpty() || waits.isEmpty()) {
      say(Message.of(file.isEmpty() ? "field.file.no-name" : "camera.sharp.no-height"));
      return;
    }
    List<Double> sharp = new ArrayList<>();
    station()
        .inBackground(
            progress -> {
              double found =
                  PictureSharpness.of(
                      PictureFile.read("visit.sharpPicture", file, progress::reached));
              if (!(found > 0)) {
                return Message.of("camera.sharp.one-tone");
              }
              sharp.add(found);
              return Message.of("camera.sharp.measured", Amount.of(found, Quantity.NUMBER, 1));
            },
            said -> {
              sharp.forEach(s -> waits.get().sharpness().set(Math.round(1000 * s) / 1000.0));
              if (outcome().isEmpty()) {
                say(said);
              }
            });
  }
}
