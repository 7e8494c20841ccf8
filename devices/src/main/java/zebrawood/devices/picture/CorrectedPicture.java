package zebrawood.devices.picture;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageTypeSpecifier;
import javax.imageio.ImageWriter;
import javax.imageio.metadata.IIOMetadata;
import javax.imageio.metadata.IIOMetadataNode;
import zebrawood.camera.BedView;
import zebrawood.measure.Picture;
import zebrawood.measure.SeenFromAbove;
import zebrawood.measure.UnusableReading;
import zebrawood.words.Message;

/**
 * A bed as its camera sees it, drawn anew from straight above and true to scale: a PNG in grey
 * whose size in millimetres stands in it (PNG specification, pHYs), to be laid under artwork.
 */
public final class CorrectedPicture {
  private static final double MOST_PX = 40e6;
  private static final double FINEST_PX_PER_MM = 20;
  private static final double COARSEST_PX_PER_MM = 0.2;

  private CorrectedPicture() {}

  /** As many pixels a millimetre as the camera has about the middle of the bed, bounded. */
  public static double pxPerMm(BedView view, List<Double> bedMm, double heightMm) {
    BedView.Places places = view.places();
    double x = bedMm.get(0) / 2;
    double y = bedMm.get(1) / 2;
    double[] at = places.px(x, y, heightMm);
    double[] right = places.px(x + 1, y, heightMm);
    double fine = Math.hypot(right[0] - at[0], right[1] - at[1]);
    double most = Math.sqrt(MOST_PX / (bedMm.get(0) * bedMm.get(1)));
    return Math.max(COARSEST_PX_PER_MM, Math.min(Math.min(fine, most), FINEST_PX_PER_MM));
  }

  /**
   * Writes it, never over a file that is there.
   *
   * @param name ends with .png
   * @throws UnusableReading when it cannot be written
   */
  public static void write(
      String name, Picture picture, BedView view, List<Double> bedMm, double heightMm) {
    String plain = name.strip();
    if (!plain.endsWith(".png")) {
      throw refused("camera.corrected.ending", plain);
    }
    double pxPerMm = pxPerMm(view, bedMm, heightMm);
    int width = (int) Math.round(bedMm.get(0) * pxPerMm);
    int height = (int) Math.round(bedMm.get(1) * pxPerMm);
    BedView.Places places = view.places();
    SeenFromAbove seen =
        new SeenFromAbove(
            picture,
            (x, y) -> places.px(x / pxPerMm, bedMm.get(1) - y / pxPerMm, heightMm),
            width,
            height);
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY);
    IntStream.range(0, height)
        .forEach(y -> {
          for (int x = 0; x < width; x++) {
            boolean shown =
                places.shows((x + 0.5) / pxPerMm, bedMm.get(1) - (y + 0.5) / pxPerMm, heightMm);
            image
                .getRaster()
                .setSample(x, y, 0, shown ? Math.clamp(Math.round(seen.light(x, y)), 0, 255) : 255);
          }
        });
    try {
      write(Path.of(plain), image, pxPerMm);
    } catch (FileAlreadyExistsException e) {
      throw refused("field.file.there", plain);
    } catch (IOException | InvalidPathException e) {
      throw refused("field.file.not-written", plain);
    }
  }

  private static void write(Path file, BufferedImage image, double pxPerMm) throws IOException {
    if (Files.exists(file)) {
      throw new FileAlreadyExistsException(file.toString());
    }
    Path target = file.toAbsolutePath();
    Path part = target.resolveSibling(target.getFileName() + ".part");
    try {
      writePart(part, image, pxPerMm);
      Files.move(part, target);
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private static void writePart(Path part, BufferedImage image, double pxPerMm) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("png").next();
    try (var bytes = Files.newOutputStream(part);
        var out = ImageIO.createImageOutputStream(bytes)) {
      IIOMetadata size =
          writer.getDefaultImageMetadata(
              ImageTypeSpecifier.createFromBufferedImageType(BufferedImage.TYPE_BYTE_GRAY),
              writer.getDefaultWriteParam());
      IIOMetadataNode physical = new IIOMetadataNode("pHYs");
      String perMetre = String.valueOf(Math.round(1000 * pxPerMm));
      physical.setAttribute("pixelsPerUnitXAxis", perMetre);
      physical.setAttribute("pixelsPerUnitYAxis", perMetre);
      physical.setAttribute("unitSpecifier", "meter");
      IIOMetadataNode root = new IIOMetadataNode("javax_imageio_png_1.0");
      root.appendChild(physical);
      size.mergeTree("javax_imageio_png_1.0", root);
      writer.setOutput(out);
      writer.write(size, new IIOImage(image, null, size), null);
    } finally {
      writer.dispose();
    }
  }

  private static UnusableReading refused(String why, String path) {
    return UnusableReading.of(
        "file", Message.of(why, Message.quoted(path)), Message.of("camera.corrected.accepted"));
  }
}
