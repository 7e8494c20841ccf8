package zebrawood.devices.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import zebrawood.measure.Picture;

class PictureFileTest {
  @TempDir Path folder;

  /** White, with one dark quarter at the top left as stored. */
  private static BufferedImage quarter(int width, int height, int type) {
    BufferedImage image = new BufferedImage(width, height, type);
    var g = image.createGraphics();
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, width, height);
    g.setColor(Color.BLACK);
    g.fillRect(0, 0, width / 2, height / 2);
    g.dispose();
    return image;
  }

  /** A JPEG with this orientation in an Exif segment behind its first marker. */
  private Path jpeg(int tag) throws IOException {
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(quarter(64, 32, BufferedImage.TYPE_3BYTE_BGR), "jpg", bytes);
    byte[] plain = bytes.toByteArray();
    int[] exif = {
      0xff, 0xe1, 0, 34, 'E', 'x', 'i', 'f', 0, 0, 'M', 'M', 0, 42, 0, 0, 0, 8, 0, 1, 0x01, 0x12, 0,
      3, 0, 0, 0, 1, 0, tag, 0, 0, 0, 0, 0, 0
    };
    ByteArrayOutputStream with = new ByteArrayOutputStream();
    with.write(plain, 0, 2);
    Arrays.stream(exif).forEach(with::write);
    with.write(plain, 2, plain.length - 2);
    return Files.write(folder.resolve("tag" + tag + ".jpg"), with.toByteArray());
  }

  /** Where the stored picture's top left comes to stand, by the standard's own table. */
  @ParameterizedTest
  @CsvSource({
    "1, left, top", "2, right, top", "3, right, bottom", "4, left, bottom",
    "5, left, top", "6, right, top", "7, right, bottom", "8, left, bottom"
  })
  void isTurnedUpright(int tag, String side, String end) throws IOException {
    Picture picture = PictureFile.read("imagePath", jpeg(tag).toString());
    boolean turned = tag >= 5;
    assertThat(picture.width()).isEqualTo(turned ? 32 : 64);
    assertThat(picture.height()).isEqualTo(turned ? 64 : 32);
    for (boolean right : new boolean[] {false, true}) {
      for (boolean bottom : new boolean[] {false, true}) {
        boolean dark = right == side.equals("right") && bottom == end.equals("bottom");
        double light =
            picture.light(
                picture.width() * (right ? 3 : 1) / 4, picture.height() * (bottom ? 3 : 1) / 4);
        assertThat(light).isCloseTo(dark ? 0 : 255, within(12.0));
      }
    }
  }

  @Test
  void everyKindOfPixelIsRead() throws IOException {
    int[] types = {
      BufferedImage.TYPE_INT_ARGB,
      BufferedImage.TYPE_BYTE_GRAY,
      BufferedImage.TYPE_USHORT_GRAY,
      BufferedImage.TYPE_BYTE_INDEXED,
      BufferedImage.TYPE_BYTE_BINARY
    };
    for (int type : types) {
      Path file = folder.resolve("type" + type + ".png");
      ImageIO.write(quarter(8, 6, type), "png", file.toFile());
      Picture picture = PictureFile.read("imagePath", file.toString());
      assertThat(picture.light(1, 1)).isCloseTo(0, within(1.0));
      assertThat(picture.light(6, 4)).isCloseTo(255, within(1.0));
    }
  }

  /** A level of a third is a third, in eight bits and in sixteen. */
  @Test
  void greyOfSixteenBitsKeepsItsLevels() throws IOException {
    BufferedImage image = new BufferedImage(4, 3, BufferedImage.TYPE_USHORT_GRAY);
    image.getRaster().setSample(2, 1, 0, 65_535 / 3);
    Path file = folder.resolve("deep.png");
    ImageIO.write(image, "png", file.toFile());
    Picture picture = PictureFile.read("imagePath", file.toString());
    assertThat(picture.light(2, 1)).isCloseTo(85, within(0.6));
    assertThat(picture.light(1, 1)).isZero();
  }

  @Test
  void tellsHowFarItIsAndEndsWhenNobodyWaits() throws IOException {
    Path file = folder.resolve("large.jpg");
    ImageIO.write(quarter(1200, 900, BufferedImage.TYPE_3BYTE_BGR), "jpg", file.toFile());
    List<Double> shares = new ArrayList<>();
    PictureFile.read("imagePath", file.toString(), shares::add);
    assertThat(shares).hasSizeGreaterThan(5).isSorted().allMatch(s -> s >= 0 && s <= 1);
    shares.clear();
    assertThatThrownBy(() ->
            PictureFile.read(
                "imagePath",
                file.toString(),
                share -> {
                  shares.add(share);
                  throw new CancellationException();
                }))
        .isInstanceOf(CancellationException.class);
    assertThat(shares.getLast()).isLessThan(0.5);
  }

  @Test
  void aFileThatHoldsNoPictureIsRefusedInASentence() throws IOException {
    Path words = Files.writeString(folder.resolve("words.png"), "not a picture");
    byte[] half = Files.readAllBytes(jpeg(1));
    Path cut = Files.write(folder.resolve("cut.png"), Arrays.copyOf(half, 30));
    for (String path :
        new String[] {words.toString(), folder.toString(), "gone.jpg", "\0", cut.toString()}) {
      assertThatThrownBy(() -> PictureFile.read("imagePath", path))
          .isInstanceOf(zebrawood.measure.UnusableReading.class)
          .hasMessageContaining("imagePath")
          .hasMessageContaining("PNG or JPEG");
    }
  }
}
