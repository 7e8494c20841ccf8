package zebrawood.records.cards;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.LuminanceSource;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.measure.UnusableReading;

class TrialArtworkTest {
  private static final double PX_PER_MM = 12;
  @TempDir Path folder;

  /** What its program burns, drawn as black lines as wide as the interval. */
  private static BufferedImage burnt(String program, double lineMm) {
    BufferedImage image =
        new BufferedImage(
            (int) (80 * PX_PER_MM), (int) (60 * PX_PER_MM), BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(Color.WHITE);
    g.fillRect(0, 0, image.getWidth(), image.getHeight());
    g.setColor(Color.BLACK);
    double x = 0;
    double y = 0;
    for (String line : program.split("\n")) {
      double toX = x;
      double toY = y;
      double power = 0;
      for (String word : line.split(" ")) {
        double value = Double.parseDouble(word.substring(1));
        switch (word.charAt(0)) {
          case 'X' -> toX = value;
          case 'Y' -> toY = value;
          case 'S' -> power = value;
          default -> {}
        }
      }
      if (power > 0 && line.startsWith("G1")) {
        double half = lineMm / 2;
        double left = Math.min(x, toX);
        double low = Math.min(y, toY);
        g.fill(
            new Rectangle2D.Double(
                left * PX_PER_MM,
                image.getHeight() - (Math.max(y, toY) + half) * PX_PER_MM,
                (Math.max(x, toX) - left + (y == toY ? 0 : lineMm)) * PX_PER_MM,
                (Math.max(y, toY) - low + lineMm) * PX_PER_MM));
      }
      x = toX;
      y = toY;
    }
    g.dispose();
    return image;
  }

  private static String read(BufferedImage image, double xMm, double yMm, boolean inverted)
      throws Exception {
    int side = (int) (21 * PX_PER_MM);
    int left = (int) (xMm * PX_PER_MM);
    int top = (int) (image.getHeight() - (yMm + 19) * PX_PER_MM);
    int[] pixels = image.getRGB(left, top, side, side, null, 0, side);
    LuminanceSource source = new RGBLuminanceSource(side, side, pixels);
    return new QRCodeReader()
        .decode(new BinaryBitmap(new HybridBinarizer(inverted ? source.invert() : source)))
        .getText();
  }

  private static final TrialArtwork.Settings SETTINGS =
      new TrialArtwork.Settings(200, 300, 0.1, 10, 800);

  @Test
  void bothCodesCanBeReadFromWhatTheProgramBurns() throws Exception {
    BufferedImage image = burnt(new TrialArtwork(5, 5, true).gcode(SETTINGS), 0.11);
    assertThat(read(image, 31, 33, false)).isEqualTo(TrialArtwork.CODE);
    assertThat(read(image, 52, 33, true)).isEqualTo(TrialArtwork.CODE);
  }

  @Test
  void itIsCutLastAndWithItsOwnSetting() {
    List<String> lines = new TrialArtwork(5, 5, true).gcode(SETTINGS).lines().toList();
    int firstCut =
        (int) lines.stream().takeWhile(l -> !(l.startsWith("G1") && l.endsWith("S800"))).count();
    assertThat(lines.subList(firstCut, lines.size()))
        .noneMatch(l -> l.startsWith("G1") && l.endsWith("S300"));
    assertThat(lines.get(lines.size() - 2)).isEqualTo("G1 X5 Y5 F600 S800");
    assertThat(new TrialArtwork(5, 5, false).gcode(SETTINGS)).doesNotContain("S800");
  }

  @Test
  void filesAreWrittenByTheirEnding() {
    TrialArtwork piece = new TrialArtwork(0, 0, true);
    assertThat(piece.svg()).contains("width=\"70mm\"").contains("height=\"50mm\"");
    assertThat(piece.dxf()).contains("letters").contains("engrave").contains("cut");
    List<OptionalDouble> none = Collections.nCopies(5, OptionalDouble.empty());
    piece.write(folder.resolve("piece.svg").toString(), none);
    assertThatThrownBy(() -> piece.write(folder.resolve("piece.gcode").toString(), none))
        .isInstanceOf(UnusableReading.class);
    assertThatThrownBy(() -> piece.write(folder.resolve("piece.svg").toString(), none))
        .isInstanceOf(UnusableReading.class);
    assertThat(folder.toFile().list()).containsExactly("piece.svg");
  }
}
