package zebrawood.devices.picture;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.Optional;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;

/** A small upright copy of a picture in its colours. */
public final class Thumbnail {
  private Thumbnail() {}

  /**
   * @param file a file's bytes
   * @param mostPx along its longer side
   * @return the copy as PNG; empty where it is no picture that can be read
   */
  public static Optional<byte[]> of(byte[] file, int mostPx) {
    try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
      if (!readers.hasNext()) {
        return Optional.empty();
      }
      ImageReader reader = readers.next();
      try {
        reader.setInput(in, true, true);
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        if ((long) width * height > PictureFile.MOST_PIXELS) {
          return Optional.empty();
        }
        int every = Math.ceilDiv(Math.max(width, height), mostPx);
        ImageReadParam small = reader.getDefaultReadParam();
        small.setSourceSubsampling(every, every, 0, 0);
        BufferedImage upright = upright(reader.read(0, small), Orientation.of(file));
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(upright, "png", png);
        return Optional.of(png.toByteArray());
      } finally {
        reader.dispose();
      }
    } catch (IOException | IllegalArgumentException | OutOfMemoryError noPicture) {
      return Optional.empty();
    }
  }

  private static BufferedImage upright(BufferedImage image, Orientation turned) {
    int width = turned.swapped() ? image.getHeight() : image.getWidth();
    int height = turned.swapped() ? image.getWidth() : image.getHeight();
    BufferedImage upright = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int across = turned.mirroredX() ? width - 1 - x : x;
        int down = turned.mirroredY() ? height - 1 - y : y;
        upright.setRGB(
            x, y, turned.swapped() ? image.getRGB(down, across) : image.getRGB(across, down));
      }
    }
    return upright;
  }
}
