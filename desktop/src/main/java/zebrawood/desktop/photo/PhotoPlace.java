package zebrawood.desktop.photo;

import java.nio.file.attribute.FileTime;
import java.util.Optional;
import java.util.function.Supplier;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.job.Jobs;
import zebrawood.desktop.station.Dragged;
import zebrawood.devices.picture.Preview;
import zebrawood.measure.Picture;
import zebrawood.station.Help;

/**
 * A photograph on a sheet: its file is read beside the window, its places are pressed and follow
 * the hand, and what is measured in it takes the picture from here. Knows no scene.
 */
public final class PhotoPlace {
  private final PhotoMarks marks;
  private final Photograph photograph = new Photograph();
  private final double shareOfHeight;
  private final double decoding;

  /**
   * @param label the key of a coordinate's label: of what, and x or y
   * @param shareOfHeight how much of the frame's height the picture may take
   * @param decoding the share of the whole work that decoding the file takes
   * @param of the places, in the order in which they are pressed
   */
  public PhotoPlace(
      StationForm form, String label, double shareOfHeight, double decoding, Enum<?>... of) {
    marks = new PhotoMarks(form, label, of);
    this.shareOfHeight = shareOfHeight;
    this.decoding = decoding;
  }

  public PhotoMarks marks() {
    return marks;
  }

  /** From now on a file that is named is read at once. */
  public void follow(Runnable load) {
    marks.path().textProperty().subscribe((before, now) -> load.run());
  }

  /** The small copy, once the file that is named was read. */
  public Optional<Preview> preview() {
    return photograph.preview(marks.file());
  }

  /** Tells when the file that is named now was changed last; it may wait for a disk. */
  public Supplier<Optional<FileTime>> age() {
    String file = marks.file();
    return () -> Photograph.changed(file);
  }

  /** Whether a file is named that was not read yet. */
  public boolean unread() {
    return !marks.file().isEmpty() && preview().isEmpty();
  }

  /** Reads the file that is named; not on the interface's thread. */
  public Picture read(String file, Jobs.Progress progress) {
    return photograph.picture(file, progress.part(0, 1));
  }

  /** What a solver that measures in it is helped with. */
  public Help help(Jobs.Progress progress) {
    return new Help(
        path -> photograph.picture(path, progress.part(0, decoding)), progress.part(decoding, 1));
  }

  /** How it lies in a frame of this size; empty while there is nothing to see. */
  public Optional<PhotoView> view(double width, double height) {
    return preview().map(p -> new PhotoView(p, width, height, shareOfHeight));
  }

  public Optional<Dragged> grabbed(double x, double y, double width, double height) {
    return view(width, height).flatMap(v -> v.grabbed(marks, x, y));
  }

  public void pressed(double x, double y, double width, double height) {
    view(width, height).ifPresent(v -> v.pressed(marks, x, y));
  }
}
