package zebrawood.desktop.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import java.util.stream.Stream;
import javafx.beans.property.ReadOnlyObjectWrapper;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.power.PowerReadings;
import zebrawood.power.RescaleFinding;
import zebrawood.power.RescaleReadings;
import zebrawood.power.Rescaling;
import zebrawood.power.UnmeteredPower;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.records.settings.SettingsTable;
import zebrawood.words.Message;

/** A list of settings, made anew for the curve as it is now. */
final class SettingsSection extends Section<Void, Void> {
  private static final double READ = 0.4;
  private static final double SOLVED = 0.6;
  private static final int MOST_WARNINGS = 3;

  private final CurveSection curve;
  private final WordsField from;
  private final WordsField to;
  private final ReadOnlyObjectWrapper<Message> before = new ReadOnlyObjectWrapper<>(Message.NONE);

  private final Supplier<OptionalDouble> words;

  /**
   * @param words the job software's top power word over the controller's, as typed elsewhere on the
   *     sheet; empty on a source that has none
   */
  SettingsSection(StationForm form, CurveSection curve, Supplier<OptionalDouble> words) {
    super(Message.of("power.settings.hint"));
    this.curve = curve;
    this.words = words;
    from = form.words("settingsFile");
    to = form.words("settingsTo");
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(from, to);
  }

  @Override
  public Part part() {
    return Part.fold(
        "power.valid",
        new Part.LiveText(before),
        new Part.Press("power-keep", Message.of("power.keep"), this::keep),
        new Part.FileName(from, "power-settings-choose"),
        Part.rows(to),
        new Part.Press("power-settings-make", Message.of("power.settings.make"), this::makeAnew),
        new Part.Press("power-settings-words", Message.of("power.settings.words"), this::byWords),
        said());
  }

  /** What the jobs were made for stands above; what came of a list is said when it was made. */
  @Override
  protected Message words() {
    before.set(curve.beforeSaid());
    return Message.NONE;
  }

  /** Keeps the curve as it is now as the one that jobs are made for. */
  private void keep() {
    if (!curve.keep()) {
      before.set(Message.of("power.curve.needs"));
    }
  }

  /** Reads the list, makes it anew for the curve as it is now, and writes it beside the old one. */
  private void makeAnew() {
    Optional<PowerReadings.Curve> curves = curve.read().filter(c -> !c.before().isEmpty());
    if (!from.isEmpty() && curves.isEmpty()) {
      say(Message.of("power.settings.no-curves"));
      return;
    }
    withFile(
        from,
        Message.of("power.settings.no-name"),
        (file, progress) -> {
          String written = written(file);
          SettingsTable table = SettingsTable.read(file, progress.part(0, READ));
          RescaleFinding made = Rescaling.solve(RescaleReadings.of(curves.get(), table.settings()));
          progress.reached(SOLVED);
          table.write(written, made.settings());
          return made(made, written);
        });
  }

  private String written(String file) {
    return to.isEmpty() ? file.replaceFirst("(\\.[^./\\\\]*)?$", "-new$1") : to.text().strip();
  }

  /** By the ratio of both power words, before the job software's is corrected. */
  private void byWords() {
    OptionalDouble factor = words.get();
    if (factor.isEmpty() || UnmeteredPower.sameWord(factor.getAsDouble())) {
      say(Message.of("power.settings.no-words"));
      return;
    }
    withFile(
        from,
        Message.of("power.settings.no-name"),
        (file, progress) -> {
          String written = written(file);
          SettingsTable table = SettingsTable.read(file, progress.part(0, READ));
          List<RescaleFinding.Setting> made =
              Rescaling.byWords(table.settings(), factor.getAsDouble());
          table.write(written, made);
          return Message.of(
              "power.settings.made-by-words",
              made.size(),
              Message.quoted(written),
              Amount.of(factor.getAsDouble(), Quantity.NUMBER, 3));
        });
  }

  private static Message made(RescaleFinding finding, String file) {
    List<RescaleFinding.Setting> settings = finding.settings();
    long kept = settings.stream().filter(RescaleFinding.Setting::reachable).count();
    List<Message> said = new ArrayList<>();
    said.add(
        Message.of(
            "power.settings.made",
            settings.size(),
            Message.quoted(file),
            kept,
            settings.size() - kept));
    said.addAll(finding.warnings().stream().limit(MOST_WARNINGS).toList());
    return Message.sentences(said);
  }
}
