package zebrawood.measure;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.stream.MemoryCacheImageOutputStream;

/** A grey picture that a test has drawn. */
public record DrawnPicture(BufferedImage image) implements Picture {
  /**
   * @param jpeg quality of a compression it goes through, 1 to 100; 0 for none
   */
  public static DrawnPicture of(BufferedImage image, int jpeg) {
    try {
      return new DrawnPicture(
          jpeg == 0 ? image : ImageIO.read(new ByteArrayInputStream(coded(image, jpeg))));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** A JPEG file's content. */
  public static byte[] coded(BufferedImage image, int jpeg) {
    try (var bytes = new ByteArrayOutputStream();
        var out = new MemoryCacheImageOutputStream(bytes)) {
      var writer = ImageIO.getImageWritersByFormatName("jpg").next();
      ImageWriteParam how = writer.getDefaultWriteParam();
      how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
      how.setCompressionQuality(jpeg / 100f);
      writer.setOutput(out);
      writer.write(null, new IIOImage(image, null, null), how);
      out.flush();
      writer.dispose();
      return bytes.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public int width() {
    return image.getWidth();
  }

  @Override
  public int height() {
    return image.getHeight();
  }

  @Override
  public double light(int x, int y) {
    return image.getRaster().getSample(x, y, 0);
  }
}
