package zebrawood.devices.picture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;
import zebrawood.measure.Picture;

/** A small upright copy of a picture, in grey, to be looked at; it keeps the picture's own size. */
public final class Preview {
  private final byte[] png;
  private final int widthPx;
  private final int heightPx;

  private Preview(byte[] png, int widthPx, int heightPx) {
    this.png = png;
    this.widthPx = widthPx;
    this.heightPx = heightPx;
  }

  /**
   * @param mostPx along its longer side
   */
  public static Preview of(Picture picture, int mostPx) {
    int longer = Math.max(picture.width(), picture.height());
    int every = Math.max(1, (int) Math.ceil((double) longer / mostPx));
    BufferedImage small =
        new BufferedImage(
            Math.max(1, picture.width() / every),
            Math.max(1, picture.height() / every),
            BufferedImage.TYPE_BYTE_GRAY);
    for (int y = 0; y < small.getHeight(); y++) {
      for (int x = 0; x < small.getWidth(); x++) {
        small.getRaster().setSample(x, y, 0, mean(picture, x * every, y * every, every));
      }
    }
    try {
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      ImageIO.write(small, "png", bytes);
      return new Preview(bytes.toByteArray(), picture.width(), picture.height());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static double mean(Picture picture, int left, int top, int every) {
    double sum = 0;
    for (int y = top; y < top + every; y++) {
      for (int x = left; x < left + every; x++) {
        sum += picture.light(x, y);
      }
    }
    return sum / (every * every);
  }

  /** The file, always the same array; it is drawn at every keystroke and only to be read. */
  public byte[] png() {
    return png;
  }

  public int widthPx() {
    return widthPx;
  }

  public int heightPx() {
    return heightPx;
  }
}
