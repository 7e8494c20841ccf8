package zebrawood.desktop.camera;

import java.util.OptionalDouble;
import java.util.stream.Stream;
import zebrawood.camera.BedTarget;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.machine.Machine;
import zebrawood.quantity.Quantity;
import zebrawood.records.field.BurnGrid;
import zebrawood.words.Message;

/** The target to burn or print: sized for this bed, kept, and needed again for every lens. */
final class TargetSection extends Section<Void, Void> {
  private static final double CROSS_OF_PITCH = 0.4;

  private final TargetFields target;
  private final Machine machine;
  private final StationForm form;
  private final QuantityField speed;
  private final QuantityField powerWord;
  private final WordsField file;

  TargetSection(StationForm form, TargetFields target, Machine machine) {
    super(Message.of("camera.target.hint"));
    this.form = form;
    this.target = target;
    this.machine = machine;
    speed = form.positive("burnSpeed", Quantity.SPEED, 100_000);
    powerWord = form.positive("burnWord", Quantity.NUMBER, 1_000_000);
    file = form.words("targetFile");
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(speed, powerWord);
  }

  @Override
  public Part part() {
    return Part.fold(
        "camera.target",
        said(),
        new Part.Press("camera-size-target", Message.of("camera.target.size"), this::size),
        Part.rows(file, speed, powerWord),
        new Part.Press("camera-write-target", Message.of("camera.target.write"), this::write));
  }

  private void size() {
    BedTarget sized = BedTarget.of(machine.areaXMm(), machine.areaYMm());
    form.allAtOnce(() -> target.set(sized));
  }

  private void write() {
    if (target.grid().stream().anyMatch(f -> f.value().isEmpty())) {
      say(Message.of("camera.target.needs"));
      return;
    }
    int columns = (int) Math.round(target.columns.number());
    int rows = (int) Math.round(target.rows.number());
    double pitchMm = target.pitch.number();
    double middleX = target.originX.number() + (columns - 1) * pitchMm / 2;
    double middleY = target.originY.number() + (rows - 1) * pitchMm / 2;
    OptionalDouble mmS = speed.value();
    OptionalDouble word = powerWord.value();
    withFile(
        file,
        Message.of("field.file.no-name"),
        (name, progress) -> {
          new BurnGrid(columns, rows, pitchMm, CROSS_OF_PITCH * pitchMm, middleX, middleY, true)
              .write(name, mmS, word);
          return Message.of("field.file.written", Message.quoted(name));
        });
  }
}
