package zebrawood.devices.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

class ThumbnailTest {
  private static byte[] picture(int width, int height, String kind) throws IOException {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        // Red at the left, blue at the right.
        image.setRGB(x, y, x < width / 2 ? 0xc00000 : 0x0000c0);
      }
    }
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(image, kind, bytes);
    return bytes.toByteArray();
  }

  /** The same picture with a tag behind its first two bytes that says how it is turned. */
  private static byte[] turned(byte[] jpeg, int orientation) {
    byte[] exif = {
      (byte) 0xff,
      (byte) 0xe1,
      0,
      34,
      'E',
      'x',
      'i',
      'f',
      0,
      0,
      'M',
      'M',
      0,
      42,
      0,
      0,
      0,
      8,
      0,
      1,
      1,
      0x12,
      0,
      3,
      0,
      0,
      0,
      1,
      0,
      (byte) orientation,
      0,
      0,
      0,
      0,
      0,
      0
    };
    byte[] all = new byte[jpeg.length + exif.length];
    System.arraycopy(jpeg, 0, all, 0, 2);
    System.arraycopy(exif, 0, all, 2, exif.length);
    System.arraycopy(jpeg, 2, all, 2 + exif.length, jpeg.length - 2);
    return all;
  }

  private static BufferedImage small(byte[] file) throws IOException {
    return ImageIO.read(new ByteArrayInputStream(Thumbnail.of(file, 96).orElseThrow()));
  }

  private static boolean isRed(BufferedImage image, int x, int y) {
    int rgb = image.getRGB(x, y);
    return (rgb >> 16 & 0xff) > (rgb & 0xff);
  }

  @Test
  void itIsNoLargerThanAskedAndKeepsItsColours() throws IOException {
    for (String kind : new String[] {"png", "jpeg"}) {
      BufferedImage image = small(picture(1200, 700, kind));
      assertThat(image.getWidth()).as(kind).isBetween(48, 96);
      assertThat(image.getHeight()).isLessThan(image.getWidth());
      assertThat(isRed(image, 3, 3)).isTrue();
      assertThat(isRed(image, image.getWidth() - 4, 3)).isFalse();
    }
    assertThat(small(picture(40, 30, "png")).getWidth()).isEqualTo(40);
  }

  @Test
  void itStandsUprightAsItsTagSays() throws IOException {
    byte[] jpeg = picture(1200, 700, "jpeg");
    BufferedImage half = small(turned(jpeg, 3));
    assertThat(isRed(half, 3, 3)).isFalse();
    BufferedImage quarter = small(turned(jpeg, 6));
    assertThat(quarter.getHeight()).isGreaterThan(quarter.getWidth());
    assertThat(isRed(quarter, 3, 3)).isTrue();
    assertThat(isRed(quarter, 3, quarter.getHeight() - 4)).isFalse();
  }

  @Test
  void whatIsNoPictureHasNone() throws IOException {
    assertThat(Thumbnail.of("a letter".getBytes(StandardCharsets.UTF_8), 96)).isEmpty();
    assertThat(Thumbnail.of(new byte[0], 96)).isEmpty();
    byte[] png = picture(300, 200, "png");
    Random random = new Random(6);
    for (int i = 0; i < 300; i++) {
      byte[] spoilt = Arrays.copyOf(png, 1 + random.nextInt(png.length));
      spoilt[random.nextInt(spoilt.length)] ^= (byte) (1 + random.nextInt(255));
      assertThat(Thumbnail.of(spoilt, 96)).isNotNull();
    }
  }
}
