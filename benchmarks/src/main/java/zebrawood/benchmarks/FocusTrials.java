package zebrawood.benchmarks;

import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import zebrawood.devices.focus.StandInBeam;
import zebrawood.devices.focus.StandInBoard;
import zebrawood.devices.picture.PictureFile;
import zebrawood.focus.Ramp;
import zebrawood.focus.RampFinding;
import zebrawood.focus.RampPhoto;
import zebrawood.focus.RampPhotoFinding;
import zebrawood.focus.RampPhotoReadings;
import zebrawood.focus.RampReadings;
import zebrawood.measure.PixelScale;
import zebrawood.measure.Verdict;

/**
 * How well the focus is found: ramps burnt on the stand-in over all spots and Rayleigh ranges, and
 * photographs of them of twelve megapixels, with the time over what the JDK takes to decode the
 * same file. Arguments: how many ramps, how many photographs.
 */
public final class FocusTrials {
  private static final double RUN_MM = 200;

  private FocusTrials() {}

  public static void main(String[] args) throws IOException {
    ramps(args.length > 0 ? Integer.parseInt(args[0]) : 2000);
    photographs(args.length > 1 ? Integer.parseInt(args[1]) : 200);
  }

  private record Case(StandInBeam beam, double riseMm, double startMm) {
    static Case any(Random random) {
      double rayleigh = 0.6 + 3.4 * random.nextDouble();
      double focus = 8 + 4 * random.nextDouble();
      double rise = rayleigh * (5 + 3 * random.nextDouble());
      return new Case(
          new StandInBeam(
              0.06 + 0.24 * random.nextDouble(), rayleigh, focus, 4 + 16 * random.nextDouble()),
          rise,
          focus + rise * (0.25 + 0.5 * random.nextDouble()));
    }

    StandInBoard board(long number) {
      return new StandInBoard(beam, RUN_MM, riseMm, startMm, 0.03, 0.1, number);
    }
  }

  private static void ramps(int count) {
    Random random = new Random(1);
    List<Double> errors = new ArrayList<>();
    int held = 0;
    int wrong = 0;
    for (int i = 0; i < count; i++) {
      Case ramp = Case.any(random);
      List<RampReadings.Sample> widths =
          ramp.board(i).read(24, 0.02).stream()
              .map(w -> new RampReadings.Sample(w.alongMm(), w.lineWidthMm()))
              .toList();
      if (widths.size() < 5) {
        continue;
      }
      RampFinding f = Ramp.solve(new RampReadings(widths, RUN_MM, ramp.riseMm, ramp.startMm, 0.02));
      if (f.verdict() != Verdict.ADJUST) {
        continue;
      }
      double off = Math.abs(f.focusGapMm().orElseThrow().value() - ramp.beam.focusGapMm());
      errors.add(off / ramp.beam.rayleighMm());
      held += off <= 2 * f.focusGapMm().orElseThrow().uncertainty() ? 1 : 0;
      wrong += off > f.depthOfFocusMm().getAsDouble() / 2 ? 1 : 0;
    }
    System.out.printf(
        "%d ramps: error over Rayleigh range median %.4f, 99 %% %.4f; within two standard deviations"
            + " %.1f %%; not decided %.1f %%; decided and off by more than half the depth %d%n",
        count,
        share(errors, 0.5),
        share(errors, 0.99),
        100.0 * held / errors.size(),
        100.0 * (count - errors.size()) / count,
        wrong);
  }

  private static void photographs(int count) throws IOException {
    Random random = new Random(2);
    List<Double> widthErrors = new ArrayList<>();
    List<Double> errors = new ArrayList<>();
    List<Double> ratios = new ArrayList<>();
    int held = 0;
    long mostBytes = 0;
    File file = File.createTempFile("board", ".jpg");
    for (int i = 0; i < count; i++) {
      Case ramp = Case.any(random);
      double scale = 18;
      var photo =
          ramp.board(i)
              .photograph(
                  new StandInBoard.Camera(
                      4000, 3000, scale, 0.06 * random.nextDouble() - 0.03, 1, 2));
      write(photo.image(), file);
      RampPhotoReadings readings =
          new RampPhotoReadings(
              file.toString(),
              Optional.of(
                  new PixelScale(List.of(100.0, 100.0), List.of(100 + 200 * scale, 100.0), 200)),
              new RampPhotoReadings.Line(
                  aside(photo.startPx(), scale, random), aside(photo.endPx(), scale, random)),
              RUN_MM,
              ramp.riseMm,
              ramp.startMm,
              Optional.empty());
      double decode = Double.MAX_VALUE;
      double whole = Double.MAX_VALUE;
      RampPhotoFinding f = null;
      for (int round = 0; round < 3; round++) {
        long began = System.nanoTime();
        ImageIO.read(file);
        decode = Math.min(decode, System.nanoTime() - began);
        began = System.nanoTime();
        f = RampPhoto.solve(readings, PictureFile.read("imagePath", file.toString()));
        whole = Math.min(whole, System.nanoTime() - began);
      }
      Runtime memory = Runtime.getRuntime();
      mostBytes = Math.max(mostBytes, memory.totalMemory() - memory.freeMemory());
      ratios.add(whole / decode);
      StandInBoard board = ramp.board(i);
      for (RampPhotoFinding.Sample s : f.samples()) {
        double truth = ramp.beam.burntMm(board.gapMm(s.alongMm()));
        widthErrors.add(1000 * Math.abs(s.lineWidthMm() - truth));
      }
      if (f.verdict() == Verdict.ADJUST) {
        double off = Math.abs(f.focusGapMm().orElseThrow().value() - ramp.beam.focusGapMm());
        errors.add(off / ramp.beam.rayleighMm());
        held += off <= 2 * f.focusGapMm().orElseThrow().uncertainty() ? 1 : 0;
      }
    }
    System.out.printf(
        "%d photographs of 12 megapixels, 18 px a mm: width error median %.0f um, 95 %% %.0f um;"
            + " focus error over Rayleigh range median %.4f, 99 %% %.4f; within two standard"
            + " deviations %.1f %%; not decided %.1f %%; time over decoding median %.2f, 99 %% %.2f;"
            + " heap at most %d MB%n",
        count,
        share(widthErrors, 0.5),
        share(widthErrors, 0.95),
        share(errors, 0.5),
        share(errors, 0.99),
        100.0 * held / errors.size(),
        100.0 * (count - errors.size()) / count,
        share(ratios, 0.5),
        share(ratios, 0.99),
        mostBytes >> 20);
  }

  private static List<Double> aside(List<Double> px, double scale, Random random) {
    double off = scale * (9 * random.nextDouble() - 4.5);
    return List.of(px.getFirst(), px.getLast() + off);
  }

  private static void write(BufferedImage image, File file) throws IOException {
    ImageWriter writer = ImageIO.getImageWritersByFormatName("jpg").next();
    ImageWriteParam quality = writer.getDefaultWriteParam();
    quality.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
    quality.setCompressionQuality(0.92f);
    file.delete();
    try (var out = ImageIO.createImageOutputStream(file)) {
      writer.setOutput(out);
      writer.write(null, new IIOImage(image, null, null), quality);
    } finally {
      writer.dispose();
    }
  }

  private static double share(List<Double> values, double share) {
    List<Double> sorted = values.stream().sorted().toList();
    return sorted.isEmpty() ? Double.NaN : sorted.get((int) (share * (sorted.size() - 1)));
  }
}
