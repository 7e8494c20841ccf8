package zebrawood.desktop.camera;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import zebrawood.camera.CameraFinding;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.desktop.photo.PhotoPlace;
import zebrawood.desktop.station.Part;
import zebrawood.desktop.station.Section;
import zebrawood.devices.picture.CorrectedPicture;
import zebrawood.quantity.Quantity;
import zebrawood.records.camera.CameraMapFile;
import zebrawood.words.Message;

/** The map for whoever needs it: as files, and as a corrected picture to lay under artwork. */
final class MapSection extends Section<Void, Void> {
  private final WordsField file;
  private final WordsField picture;
  private final QuantityField surface;
  private final PhotoPlace place;
  private final List<Double> bedMm;
  private final Supplier<Optional<CameraFinding>> found;

  /**
   * @param place the photograph that is drawn anew
   */
  MapSection(
      StationForm form,
      PhotoPlace place,
      List<Double> bedMm,
      Supplier<Optional<CameraFinding>> found) {
    super(Message.of("camera.map.hint"));
    file = form.words("mapFile");
    picture = form.words("pictureFile");
    surface = form.quantity("surface", Quantity.LENGTH, -2000, 2000);
    this.place = place;
    this.bedMm = bedMm;
    this.found = found;
  }

  @Override
  public Stream<Field> fields() {
    return Stream.of(surface);
  }

  @Override
  public Part part() {
    return Part.fold(
        "camera.map",
        said(),
        Part.rows(surface, file),
        new Part.Press("camera-write-map", Message.of("camera.map.write"), this::writeMap),
        Part.rows(picture),
        new Part.Press(
            "camera-write-picture", Message.of("camera.map.write-picture"), this::writePicture));
  }

  private double surfaceMm(CameraFinding f) {
    return surface.value().orElse(f.view().onlyMm().orElse(0));
  }

  /** Whether a map of one height is asked for another. */
  private boolean otherHeight(CameraFinding f) {
    return f.view().onlyMm().isPresent()
        && Math.abs(surfaceMm(f) - f.view().onlyMm().getAsDouble()) > CameraFinding.SAME_HEIGHT_MM;
  }

  private Optional<CameraFinding> usable() {
    Optional<CameraFinding> f = found.get();
    if (f.isEmpty()) {
      say(Message.of("camera.map.none"));
    } else if (otherHeight(f.get())) {
      say(Message.of("camera.map.other-height"));
      return Optional.empty();
    }
    return f;
  }

  private void writeMap() {
    usable()
        .ifPresent(f ->
            withFile(
                file,
                Message.of("field.file.no-name"),
                (name, progress) -> {
                  CameraMapFile.of(f, bedMm, surfaceMm(f)).write(name);
                  return Message.of("field.file.written", Message.quoted(name));
                }));
  }

  private void writePicture() {
    String photo = place.marks().file();
    usable()
        .ifPresent(f -> {
          if (photo.isEmpty()) {
            say(Message.of("camera.map.no-photo"));
            return;
          }
          withFile(
              picture,
              Message.of("field.file.no-name"),
              (name, progress) -> {
                CorrectedPicture.write(
                    name, place.read(photo, progress), f.view(), bedMm, surfaceMm(f));
                return Message.of("field.file.written", Message.quoted(name));
              });
        });
  }
}
