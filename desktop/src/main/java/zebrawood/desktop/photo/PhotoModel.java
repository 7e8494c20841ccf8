package zebrawood.desktop.photo;

import java.nio.file.attribute.FileTime;
import java.util.Optional;
import java.util.function.Supplier;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.job.Jobs;
import zebrawood.desktop.station.Dragged;
import zebrawood.desktop.station.StationModel;
import zebrawood.measure.Finding;
import zebrawood.station.Help;
import zebrawood.station.Visit;

/**
 * A station one of whose ways is a photograph: it is read beside the interface, measured once while
 * it stays as it is, and its places are pressed and dragged.
 *
 * @param <R> readings, as of {@link StationModel}
 * @param <F> finding, likewise
 */
public abstract class PhotoModel<R, F extends Finding> extends StationModel<R, F> {
  protected PhotoModel(StationForm form, Visit<R, F> visit) {
    super(form, visit);
  }

  /** Its photograph. */
  protected abstract PhotoPlace place();

  /** Whether it is read from the photograph now. */
  protected abstract boolean pictured();

  @Override
  protected Optional<Supplier<Optional<FileTime>>> pictureAge() {
    return pictured() ? Optional.of(place().age()) : Optional.empty();
  }

  @Override
  protected Help help(Jobs.Progress progress) {
    return place().help(progress);
  }

  /** Reads the photograph where it is named and was not read. */
  protected final void loadPhoto() {
    if (place().unread() && context().isPresent()) {
      String file = place().marks().file();
      make(p -> place().read(file, p), picture -> solveAgain());
    }
  }

  @Override
  public Optional<Dragged> grabbed(double x, double y, double width, double height) {
    return pictured() ? place().grabbed(x, y, width, height) : Optional.empty();
  }

  /** The next place that is to be pressed. */
  @Override
  public void pressed(double x, double y, double width, double height) {
    if (pictured()) {
      place().pressed(x, y, width, height);
    }
  }
}
