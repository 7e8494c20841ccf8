package zebrawood.benchmarks;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import zebrawood.cards.CardScan;
import zebrawood.cards.CardScanFinding;
import zebrawood.cards.DrawnCard;
import zebrawood.devices.picture.PictureFile;
import zebrawood.measure.Picture;
import zebrawood.measure.UnusableReading;

/**
 * Scans and photographs of cards, drawn by code that shares nothing with what reads them or with
 * the stand-in: how far off each square's darkness is, how often the truth lies within two standard
 * deviations, and the time over decoding the JPEG.
 *
 * <p>Arguments: how many of each kind, and pixels a millimetre.
 */
public final class CardScanTrials {
  private static final float QUALITY = 0.92f;
  private static final int COLUMNS = 7;
  private static final int ROWS = 6;

  private CardScanTrials() {}

  public static void main(String[] arguments) throws IOException {
    int count = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 25;
    double pxPerMm = arguments.length > 1 ? Double.parseDouble(arguments[1]) : 12;
    System.out.println(
        "kind | squares | off median | 99 % | within 2 u | u median | refused | ms | over decoding");
    for (DrawnCard.Way way : DrawnCard.Way.values()) {
      of(way, count, way == DrawnCard.Way.COARSE ? 4.5 : pxPerMm);
    }
  }

  private static void of(DrawnCard.Way way, int count, double pxPerMm) throws IOException {
    List<Double> off = new ArrayList<>();
    List<Double> unsure = new ArrayList<>();
    List<Double> ratios = new ArrayList<>();
    int within = 0;
    int refused = 0;
    double ms = 0;
    for (int seed = 0; seed < count; seed++) {
      DrawnCard card = new DrawnCard(COLUMNS, ROWS, way, pxPerMm, 0.03, seed);
      Path file = Files.createTempFile("card", ".jpg");
      try {
        Files.write(file, jpeg(card.picture()));
        long start = System.nanoTime();
        Picture picture = PictureFile.read("imagePath", file.toString());
        long decoded = System.nanoTime();
        CardScanFinding found = CardScan.solve(card.readings(OptionalDouble.of(0.6)), picture);
        long read = System.nanoTime();
        ms += (read - decoded) / 1e6 / count;
        ratios.add((read - decoded) / (double) (decoded - start));
        for (CardScanFinding.Square s : found.squares()) {
          double by = Math.abs(s.darkness().value() - card.darkness(s.column(), s.row()));
          off.add(by);
          unsure.add(s.darkness().uncertainty());
          within += by <= 2 * s.darkness().uncertainty() ? 1 : 0;
        }
      } catch (UnusableReading e) {
        refused++;
      } finally {
        Files.deleteIfExists(file);
      }
    }
    off.sort(null);
    unsure.sort(null);
    ratios.sort(null);
    System.out.printf(
        Locale.ROOT,
        "%s | %d | %.4f | %.4f | %.3f | %.4f | %d | %.0f | %.2f%n",
        way,
        off.size(),
        off.get(off.size() / 2),
        off.get((int) (0.99 * (off.size() - 1))),
        within / (double) off.size(),
        unsure.get(unsure.size() / 2),
        refused,
        ms,
        ratios.get(ratios.size() / 2));
  }

  private static byte[] jpeg(Picture picture) throws IOException {
    BufferedImage image =
        new BufferedImage(picture.width(), picture.height(), BufferedImage.TYPE_3BYTE_BGR);
    for (int y = 0; y < picture.height(); y++) {
      for (int x = 0; x < picture.width(); x++) {
        int level = (int) picture.light(x, y);
        image.setRGB(x, y, level << 16 | level << 8 | level);
      }
    }
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
    ImageWriteParam as = writer.getDefaultWriteParam();
    as.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    as.setCompressionQuality(QUALITY);
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    writer.setOutput(ImageIO.createImageOutputStream(bytes));
    writer.write(null, new IIOImage(image, null, null), as);
    writer.dispose();
    return bytes.toByteArray();
  }
}
