package zebrawood.desktop.power;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

  SettingsSection(StationForm form, CurveSection curve) {
    super(Message.of("power.settings.hint"));
    this.curve = curve;
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
          String written =
              to.isEmpty() ? file.replaceFirst("(\\.[^./\\\\]*)?$", "-new$1") : to.text().strip();
          SettingsTable table = SettingsTable.read(file, progress.part(0, READ));
          RescaleFinding made = Rescaling.solve(RescaleReadings.of(curves.get(), table.settings()));
          progress.reached(SOLVED);
          table.write(written, made.settings());
          return made(made, written);
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
