package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import zebrawood.camera.CameraPhotoReadings;
import zebrawood.camera.DrawnCameraPhoto;
import zebrawood.camera.ImaginedCamera;
import zebrawood.desktop.camera.CameraWay;
import zebrawood.marks.MarkKind;

/** Alder's camera in the real window, from a photograph that shares no code with its reader. */
class CameraWindowTest extends WindowTest {
  private static final double[] BED = {700, 500};
  private static final int COLUMNS = 9;
  private static final int ROWS = 6;

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private static ImaginedCamera camera() {
    return ImaginedCamera.of(ImaginedCamera.Kind.LID, new Random(3), 1400, BED);
  }

  private Path photograph(ImaginedCamera camera, CameraPhotoReadings.Target target)
      throws IOException {
    DrawnCameraPhoto photo = new DrawnCameraPhoto(camera, target, new Random(4));
    photo.uneven = true;
    photo.draw(0.8, 2);
    Path to = file.resolveSibling("bed.jpg");
    Files.write(to, photo.jpeg(0.85));
    return to;
  }

  private void says(String words) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (!page().contains(words)) {
      assertThat(System.nanoTime()).as(words + " in " + page()).isLessThan(end);
    }
  }

  @Test
  void aTargetIsWrittenPhotographedReadCheckedAndPassedOn() throws IOException {
    openStation("camera");
    goOnWithoutProof();
    choose("#camera-way", CameraWay.PHOTO);
    unfold();
    press("#camera-write-target");
    assertThat(page()).contains("Size it for this bed");
    press("#camera-size-target");
    settle();
    assertThat(words("#camera-columns")).isEqualTo("9");
    fill("#camera-pitch", "75");
    fill("#camera-origin-x", "50");
    fill("#camera-origin-y", "62.5");
    fill("#camera-rows", String.valueOf(ROWS));
    Path svg = file.resolveSibling("target.svg");
    fill("#camera-target-file", svg.toString());
    press("#camera-write-target");
    until("the target is written", () -> Files.exists(svg));
    assertThat(Files.readString(svg)).contains("M35 -62.5 L65 -62.5");

    ImaginedCamera camera = camera();
    CameraPhotoReadings.Target target =
        new CameraPhotoReadings.Target(
            COLUMNS, ROWS, 75, List.of(50.0, 62.5), MarkKind.CROSS, java.util.OptionalDouble.of(3));
    fill("#camera-tolerance", "1.5");
    fill("#camera-sheet-height", "3");
    fill("#camera-photo", photograph(camera, target).toString());
    int[][] corners = {{0, 0}, {COLUMNS - 1, 0}, {COLUMNS - 1, ROWS - 1}, {0, ROWS - 1}};
    for (int i = 0; i < corners.length; i++) {
      double[] px = camera.px(50 + 75 * corners[i][0], 62.5 + 75 * corners[i][1], 3);
      fill("#camera-mark-" + i + "-x", String.valueOf(Math.round(px[0] + 4)));
      fill("#camera-mark-" + i + "-y", String.valueOf(Math.round(px[1] - 4)));
    }
    says("54 of 54 marks count");
    pressMark(camera.px(50 + 75 * 3, 62.5 + 75 * 2, 3));
    says("53 of 54 marks count");
    assertThat(words("#camera-by-hand")).isEqualTo("-4,3");
    fill("#camera-by-hand", "");
    says("54 of 54 marks count");

    fill("#camera-thickness", "9");
    says("Type 9.0 mm");
    says("What another height costs is not known");
    passedOn(camera);
    press("#primary");
    signIfAsked();
    settle();
    checked();
  }

  private void pressMark(double[] px) {
    Region picture = (Region) node("#camera-picture");
    double scale =
        Math.min((picture.getWidth() - 12) / 1400, (picture.getHeight() * 0.93 - 6) / 1050);
    double left = (picture.getWidth() - scale * 1400) / 2;
    onInterface(() -> {
      mouse(picture, MouseEvent.MOUSE_PRESSED, left + scale * px[0], 6 + scale * px[1]);
      mouse(picture, MouseEvent.MOUSE_RELEASED, left + scale * px[0], 6 + scale * px[1]);
      mouse(picture, MouseEvent.MOUSE_CLICKED, left + scale * px[0], 6 + scale * px[1]);
      return null;
    });
    settle();
  }

  /** The map tells where a place shows; in the corrected picture it lies where it is. */
  private void passedOn(ImaginedCamera camera) throws IOException {
    Path map = file.resolveSibling("map");
    fill("#camera-map-file", map.toString());
    press("#camera-write-map");
    Path csv = file.resolveSibling("map.csv");
    until("the map is written", () -> Files.exists(file.resolveSibling("map.json")));
    String[] middle =
        Files.readAllLines(csv).stream()
            .filter(l -> l.startsWith("350,250,"))
            .findFirst()
            .orElseThrow()
            .split(",");
    double[] px = camera.px(350, 250, 3);
    assertThat(Double.parseDouble(middle[3])).isCloseTo(px[0], within(0.3));
    assertThat(Double.parseDouble(middle[4])).isCloseTo(px[1], within(0.3));
    Path png = file.resolveSibling("corrected.png");
    fill("#camera-picture-file", png.toString());
    press("#camera-write-picture");
    until("the picture is written", () -> Files.exists(png) && png.toFile().length() > 0);
    settle();
    BufferedImage image = ImageIO.read(png.toFile());
    double perMm = image.getWidth() / 700.0;
    assertThat(image.getHeight() / perMm).isCloseTo(500, within(1.0));
    for (int[] cell : new int[][] {{0, 0}, {4, 2}, {8, 5}}) {
      double x = (50 + 75 * cell[0]) * perMm;
      double y = image.getHeight() - (62.5 + 75 * cell[1]) * perMm;
      assertThat(light(image, x, y))
          .as("a cross at %s", java.util.Arrays.toString(cell))
          .isLessThan(0.75 * light(image, x + 30 * perMm, y + 30 * perMm));
    }
  }

  private static double light(BufferedImage image, double x, double y) {
    double darkest = 255;
    for (int dy = -1; dy <= 1; dy++) {
      for (int dx = -1; dx <= 1; dx++) {
        darkest = Math.min(darkest, image.getRaster().getSample((int) x + dx, (int) y + dy, 0));
      }
    }
    return darkest;
  }

  /** Two fresh marks that are shown where they were burnt, then shown aside. */
  private void checked() {
    choose("#camera-way", CameraWay.FRESH);
    unfold();
    fill("#camera-resolution", "0.1");
    String[][] marks = {{"100", "90"}, {"600", "110"}, {"340", "420"}};
    type(marks, 0.2);
    says("The picture holds");
    type(marks, 4);
    says("Push lid and camera to their stops");
  }

  private void type(String[][] marks, double aside) {
    if (!shows("#camera-fresh-3-x")) {
      onInterface(() -> {
        app.scene().getRoot().lookupAll(".button").stream()
            .filter(n ->
                n instanceof javafx.scene.control.Button b && b.getText().equals("Another mark"))
            .map(n -> (javafx.scene.control.Button) n)
            .findFirst()
            .orElseThrow()
            .fire();
        return null;
      });
      settle();
    }
    for (int i = 0; i < marks.length; i++) {
      String at = "#camera-fresh-" + (i + 1) + "-";
      fill(at + "x", marks[i][0]);
      fill(at + "y", marks[i][1]);
      fill(at + "shown-x", String.valueOf(Double.parseDouble(marks[i][0]) + aside));
      fill(at + "shown-y", marks[i][1]);
    }
  }

  /** A camera on the head: one picture is measured, the other figures are typed as if measured. */
  @Test
  void theSharpestHeightAndHowFarItIsFromTheFocusAreTold() throws IOException {
    openStation("camera");
    goOnWithoutProof();
    unfold();
    BufferedImage scrap = new BufferedImage(320, 240, BufferedImage.TYPE_BYTE_GRAY);
    Path plain = file.resolveSibling("plain.png");
    ImageIO.write(scrap, "png", plain.toFile());
    for (int y = 0; y < 240; y++) {
      for (int x = 0; x < 320; x++) {
        scrap.getRaster().setSample(x, y, 0, (x / 5 + y / 7) % 2 == 0 ? 80 : 200);
      }
    }
    Path printed = file.resolveSibling("printed.png");
    ImageIO.write(scrap, "png", printed.toFile());
    press("#camera-sharp-measure");
    says("Name a file first");
    fill("#camera-sharp-picture", printed.toString());
    press("#camera-sharp-measure");
    says("Type the height at which this picture was taken first");
    fill("#camera-sharp-1-height", "10");
    fill("#camera-sharp-picture", plain.toString());
    press("#camera-sharp-measure");
    says("The picture is of one tone");
    fill("#camera-sharp-picture", printed.toString());
    press("#camera-sharp-measure");
    says("Its sharpness is");
    double first = Double.parseDouble(words("#camera-sharp-1-sharpness"));
    assertThat(first).isPositive();
    for (int i = 2; i <= 5; i++) {
      double height = 10 + 0.4 * (i - 1);
      // Sharpest at 10.9, half as sharp 1 mm from there.
      double of = (1 + 0.9 * 0.9) / (1 + Math.pow(height - 10.9, 2));
      fill("#camera-sharp-" + i + "-height", String.valueOf(height));
      fill("#camera-sharp-" + i + "-sharpness", String.valueOf(first * of));
    }
    says("The picture is sharpest at 10.90 ±");
    says("How far that is from the focus is not known");
    fill("#camera-beam-at", "12.4");
    says("From there it is 1.50 ± 0.02 mm to where the beam is smallest");
  }

  @Test
  void whatCannotBeUsedIsSaidAndNothingIsLost() throws IOException {
    openStation("camera");
    goOnWithoutProof();
    choose("#camera-way", CameraWay.PHOTO);
    unfold();
    fill("#camera-photo", "gone.jpg");
    press("#camera-size-target");
    fill("#camera-tolerance", "1");
    fill("#camera-sheet-height", "0");
    for (int i = 0; i < 4; i++) {
      fill("#camera-mark-" + i + "-x", String.valueOf(100 + 800 * (i == 1 || i == 2 ? 1 : 0)));
      fill("#camera-mark-" + i + "-y", String.valueOf(i < 2 ? 700 : 100));
    }
    says("no file gone.jpg");
    Path empty = file.resolveSibling("empty.png");
    ImageIO.write(
        new BufferedImage(1200, 900, BufferedImage.TYPE_BYTE_GRAY), "png", empty.toFile());
    fill("#camera-photo", empty.toString());
    says("marks found");
    fill("#camera-by-hand", "out");
    says("taken out");
    assertThat(words("#camera-columns")).isEqualTo("9");
    fill("#camera-address", "nowhere");
    press("#camera-take");
    says("beginning with http://");
  }
}
