package zebrawood.devices.picture;

import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.DoubleConsumer;
import javax.imageio.ImageReader;
import javax.imageio.event.IIOReadProgressListener;

/**
 * Passes on how far a reader is. Who listens may end it by throwing a {@link
 * CancellationException}: the reader, which may stand in the middle of foreign code, is then asked
 * to stop, and it is thrown afterwards.
 */
final class ReadProgress implements IIOReadProgressListener {
  private final DoubleConsumer reached;
  private Optional<CancellationException> ended = Optional.empty();

  ReadProgress(DoubleConsumer reached) {
    this.reached = reached;
  }

  /** To be asked when the reader has come back. */
  void orThrow() {
    if (ended.isPresent()) {
      throw ended.get();
    }
  }

  @Override
  public void imageProgress(ImageReader source, float percent) {
    try {
      reached.accept(percent / 100);
    } catch (CancellationException e) {
      ended = Optional.of(e);
      source.abort();
    }
  }

  @Override
  public void imageStarted(ImageReader source, int index) {}

  @Override
  public void imageComplete(ImageReader source) {}

  @Override
  public void readAborted(ImageReader source) {}

  @Override
  public void sequenceStarted(ImageReader source, int first) {}

  @Override
  public void sequenceComplete(ImageReader source) {}

  @Override
  public void thumbnailStarted(ImageReader source, int image, int thumbnail) {}

  @Override
  public void thumbnailProgress(ImageReader source, float percent) {}

  @Override
  public void thumbnailComplete(ImageReader source) {}
}
