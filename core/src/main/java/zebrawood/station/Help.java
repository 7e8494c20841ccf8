package zebrawood.station;

import java.util.function.DoubleConsumer;
import java.util.function.Function;
import zebrawood.measure.Picture;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * What a solver is helped with. It changes nothing of what is found.
 *
 * @param pictures reads the photograph in a file, upright; throws {@link UnusableReading}
 * @param reached told how far the work is, from 0 to 1
 */
public record Help(Function<String, Picture> pictures, DoubleConsumer reached) {
  /** Where no picture can be read and nobody waits. */
  public static final Help NONE =
      new Help(
          path -> {
            throw UnusableReading.of(
                "imagePath", Message.quoted(path), Message.of("accepts.a-picture-here"));
          },
          share -> {});

  /** The same pictures, and nobody waits. */
  public static Help of(Function<String, Picture> pictures) {
    return new Help(pictures, share -> {});
  }
}
