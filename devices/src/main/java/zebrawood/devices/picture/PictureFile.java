package zebrawood.devices.picture;

import java.awt.color.ColorSpace;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferByte;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Iterator;
import java.util.function.DoubleConsumer;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import zebrawood.measure.Picture;
import zebrawood.measure.SrgbCurve;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/** A photograph or scan as a file: PNG or JPEG, turned upright as its orientation tag says. */
public final class PictureFile {
  /** Larger ones do not fit a usual machine's memory beside the application. */
  static final long MOST_PIXELS = 150_000_000;

  /** While it is decoded, and once more while it is brought into bytes. */
  private static final long BYTES_A_PIXEL = 4;

  private PictureFile() {}

  /** Bytes that can still be had. */
  private static long free() {
    Runtime here = Runtime.getRuntime();
    return here.maxMemory() - (here.totalMemory() - here.freeMemory());
  }

  /** The same, where nobody asks how far it is. */
  public static Picture read(String field, String path) {
    return read(field, path, share -> {});
  }

  /**
   * @param field named in the refusal
   * @param reached told how far it is, from 0 to 1; ends the reading by throwing a {@link
   *     CancellationException}
   * @throws UnusableReading when there is no picture in that file that can be read, or it is too
   *     large
   */
  public static Picture read(String field, String path, DoubleConsumer reached) {
    try {
      Path file = Path.of(path);
      if (!Files.isRegularFile(file)) {
        throw refused(field, "measure.picture.no-file", path);
      }
      try (ImageInputStream in = ImageIO.createImageInputStream(file.toFile())) {
        Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
        if (!readers.hasNext()) {
          throw refused(field, "measure.picture.no-picture", path);
        }
        ImageReader reader = readers.next();
        try {
          reader.setInput(in, true, true);
          if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
            throw refused(field, "measure.picture.too-large", path);
          }
          if ((long) reader.getWidth(0) * reader.getHeight(0) * BYTES_A_PIXEL > free()) {
            throw refused(field, "measure.picture.memory", path);
          }
          ReadProgress heard = new ReadProgress(reached);
          reader.addIIOReadProgressListener(heard);
          BufferedImage image = reader.read(0);
          heard.orThrow();
          return of(image, Orientation.of(file));
        } finally {
          reader.dispose();
        }
      }
    } catch (IOException | IllegalArgumentException e) {
      throw refused(field, "measure.picture.no-picture", path);
    } catch (OutOfMemoryError e) {
      // What was held for it is free again here.
      throw refused(field, "measure.picture.memory", path);
    }
  }

  private static UnusableReading refused(String field, String why, String path) {
    return UnusableReading.of(
        field,
        Message.of(why, Message.quoted(path)),
        Message.of("measure.picture.accepted", MOST_PIXELS / 1_000_000));
  }

  static Picture of(BufferedImage image, Orientation orientation) {
    boolean plain =
        image.getRaster().getParent() == null
            && (image.getType() == BufferedImage.TYPE_3BYTE_BGR
                || image.getType() == BufferedImage.TYPE_BYTE_GRAY);
    BufferedImage bytes = plain ? image : inBytes(image);
    int bands = bytes.getType() == BufferedImage.TYPE_BYTE_GRAY ? 1 : 3;
    byte[] data = ((DataBufferByte) bytes.getRaster().getDataBuffer()).getData();
    return new Pixels(data, bands, bytes.getWidth(), bytes.getHeight(), orientation);
  }

  /** Row by row, so that a row of colours is all that is held twice. */
  private static BufferedImage inBytes(BufferedImage image) {
    if (image.getColorModel().getColorSpace().getType() == ColorSpace.TYPE_GRAY) {
      return greyInBytes(image);
    }
    BufferedImage bytes =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_3BYTE_BGR);
    int[] row = new int[image.getWidth()];
    for (int y = 0; y < image.getHeight(); y++) {
      image.getRGB(0, y, row.length, 1, row, 0, row.length);
      bytes.setRGB(0, y, row.length, 1, row, 0, row.length);
    }
    return bytes;
  }

  /**
   * Grey of more than eight bits: its levels as they are coded. Asked for colours it would be taken
   * for linear light, and come out too light.
   */
  private static BufferedImage greyInBytes(BufferedImage image) {
    BufferedImage bytes =
        new BufferedImage(image.getWidth(), image.getHeight(), BufferedImage.TYPE_BYTE_GRAY);
    double most = Math.pow(2, image.getColorModel().getComponentSize(0)) - 1;
    int[] row = new int[image.getWidth()];
    for (int y = 0; y < image.getHeight(); y++) {
      image.getRaster().getSamples(0, y, row.length, 1, 0, row);
      for (int x = 0; x < row.length; x++) {
        row[x] = (int) Math.round(255 * row[x] / most);
      }
      bytes.getRaster().setSamples(0, y, row.length, 1, 0, row);
    }
    return bytes;
  }

  /** Bytes of blue, green and red, or of grey. */
  private static final class Pixels implements Picture {
    private final byte[] data;
    private final int bands;
    private final int storedWidth;
    private final int storedHeight;
    private final Orientation orientation;

    Pixels(byte[] data, int bands, int width, int height, Orientation orientation) {
      this.data = data;
      this.bands = bands;
      this.storedWidth = width;
      this.storedHeight = height;
      this.orientation = orientation;
    }

    @Override
    public int width() {
      return orientation.swapped() ? storedHeight : storedWidth;
    }

    @Override
    public int height() {
      return orientation.swapped() ? storedWidth : storedHeight;
    }

    @Override
    public double light(int x, int y) {
      return stored(place(x, y));
    }

    private int place(int x, int y) {
      int across = orientation.mirroredX() ? width() - 1 - x : x;
      int down = orientation.mirroredY() ? height() - 1 - y : y;
      int column = orientation.swapped() ? down : across;
      int row = orientation.swapped() ? across : down;
      return (row * storedWidth + column) * bands;
    }

    @Override
    public double linear(int x, int y) {
      int at = place(x, y);
      return bands == 1
          ? SrgbCurve.linear(data[at] & 0xff)
          : 0.0722 * SrgbCurve.linear(data[at] & 0xff)
              + 0.7152 * SrgbCurve.linear(data[at + 1] & 0xff)
              + 0.2126 * SrgbCurve.linear(data[at + 2] & 0xff);
    }

    @Override
    public boolean atLimit(int x, int y) {
      int at = place(x, y);
      for (int band = 0; band < bands; band++) {
        int level = data[at + band] & 0xff;
        if (level == 0 || level == 255) {
          return true;
        }
      }
      return false;
    }

    private double stored(int at) {
      return bands == 1
          ? data[at] & 0xff
          : 0.0722 * (data[at] & 0xff)
              + 0.7152 * (data[at + 1] & 0xff)
              + 0.2126 * (data[at + 2] & 0xff);
    }

    @Override
    public void row(int x, int y, double[] into) {
      if (!orientation.equals(Orientation.UPRIGHT)) {
        Picture.super.row(x, y, into);
        return;
      }
      int at = (y * storedWidth + x) * bands;
      for (int i = 0; i < into.length; i++) {
        into[i] = stored(at);
        at += bands;
      }
    }
  }
}
