package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import zebrawood.desktop.mirrors.MirrorsWay;
import zebrawood.desktop.mirrors.TapeUse;

/** Marks of the demo's Alder from a photograph of six targets, drawn here by code of its own. */
class TapeWindowTest extends WindowTest {
  private static final double PX_PER_MM = 9;
  private static final double[][] SMALL = {
    {-10, 16}, {8, 16}, {16, 10}, {16, -8}, {10, -16}, {-8, -16}, {-16, -10}, {-16, 8}
  };

  /** Right and up on the targets 1 to 6. */
  private static final double[][] BURNS = {
    {0.5, -0.5}, {3, -1.5}, {-1, 0.2}, {-3.5, 2}, {-3.5, -1}, {-6, 1}
  };

  @Override
  protected void prepare(Path workshopFile) {
    DemoCopy.write(workshopFile, clock.instant());
  }

  private static void disc(Graphics2D on, double x, double up, double radius) {
    on.fill(new Ellipse2D.Double(x - radius, -up - radius, 2 * radius, 2 * radius));
  }

  private static double middleX(int number) {
    return 25 + (number - 1) % 3 * 48;
  }

  private static double middleY(int number) {
    return 25 + (number - 1) / 3 * 48;
  }

  private Path photograph(String name) throws IOException {
    BufferedImage page = new BufferedImage(1310, 880, BufferedImage.TYPE_3BYTE_BGR);
    Graphics2D on = page.createGraphics();
    on.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    on.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    on.setColor(new Color(120, 116, 110));
    on.fillRect(0, 0, 1310, 880);
    on.scale(PX_PER_MM, PX_PER_MM);
    for (int n = 1; n <= 6; n++) {
      on.translate(middleX(n), middleY(n));
      on.setColor(new Color(244, 242, 240));
      on.fill(new Rectangle2D.Double(-20, -20, 40, 40));
      on.setColor(new Color(214, 212, 210));
      on.fill(new Rectangle2D.Double(-12, -0.15, 24, 0.3));
      on.fill(new Rectangle2D.Double(-0.15, -12, 0.3, 24));
      on.setColor(new Color(30, 30, 30));
      Path2D ring = new Path2D.Double(Path2D.WIND_EVEN_ODD);
      ring.append(new Ellipse2D.Double(-18.2, -18.2, 4.4, 4.4), false);
      ring.append(new Ellipse2D.Double(-17.1, -17.1, 2.2, 2.2), false);
      on.fill(ring);
      disc(on, 16, 16, 2);
      disc(on, 16, -16, 2);
      disc(on, -16, -16, 2);
      for (int i = 0; i < SMALL.length; i++) {
        disc(on, SMALL[i][0], SMALL[i][1], i + 1 == n ? 1.5 : 1);
      }
      on.setColor(new Color(70, 60, 52));
      disc(on, BURNS[n - 1][0], BURNS[n - 1][1], 1.4);
      on.translate(-middleX(n), -middleY(n));
    }
    on.dispose();
    Path file = this.file.resolveSibling(name);
    Files.createDirectories(file.getParent());
    ImageIO.write(page, "png", file.toFile());
    return file;
  }

  @Test
  void marksOfSixTargetsAreTakenMovedAndWritten() throws IOException {
    keys(KeyCode.CONTROL, KeyCode.DIGIT5);
    goOnWithoutProof();
    unfold();
    press("#mirrors-tape-take");
    assertThat(page()).contains("There is no mark yet");
    fill("#mirrors-photo", photograph("tape.png").toString());
    says("Target 6");
    assertThat(page()).contains("Target 4: -3.50 mm right, 2.00 mm up");
    assertThat(words("#mirrors-head-front-right-up")).as("nothing is taken yet").isEmpty();

    Region picture = (Region) node("#mirrors-picture");
    // 1310 by 880 pixels in the picture's frame, six points from its edges.
    double scale =
        Math.min((picture.getWidth() - 12) / 1310, (picture.getHeight() * 0.97 - 6) / 880);
    double left = (picture.getWidth() - scale * 1310) / 2;
    double x = left + scale * PX_PER_MM * (middleX(2) + BURNS[1][0]);
    double y = 6 + scale * PX_PER_MM * (middleY(2) - BURNS[1][1]);
    double moved = 2 * scale * PX_PER_MM;
    onInterface(() -> {
      mouse(picture, MouseEvent.MOUSE_PRESSED, x, y);
      mouse(picture, MouseEvent.MOUSE_DRAGGED, x + moved, y);
      mouse(picture, MouseEvent.MOUSE_RELEASED, x + moved, y);
      return null;
    });
    press("#mirrors-tape-take");
    settle();
    assertThat(page()).contains("6 of 6 marks are taken");
    assertThat(number("mirror-2-rear-right")).isCloseTo(0.5, within(0.03));
    assertThat(number("mirror-2-front-right")).as("moved by hand").isCloseTo(5, within(0.1));
    assertThat(number("mirror-2-front-up")).isCloseTo(-1.5, within(0.1));
    assertThat(number("head-front-right-right")).isCloseTo(-6, within(0.03));
    assertThat(number("head-front-right-up")).isCloseTo(1, within(0.03));
    assertThat(number("resolution")).as("the picture's").isLessThan(0.2);

    choose("#mirrors-tape-use", TapeUse.PLUMB);
    press("#mirrors-tape-take");
    settle();
    assertThat(number("high-right")).isCloseTo(0.5, within(0.03));
    assertThat(number("low-rear")).as("moved by hand").isCloseTo(-1.5, within(0.1));
    choose("#mirrors-tape-use", TapeUse.POINTER);
    press("#mirrors-tape-take");
    settle();
    assertThat(number("dot-right")).as("the cross from the mark").isCloseTo(-0.5, within(0.03));
    assertThat(number("dot-rear")).isCloseTo(0.5, within(0.03));

    fill("#mirrors-photo", "gone.jpg");
    says("no file gone.jpg");
    Path sheet = file.resolveSibling("targets.pdf");
    fill("#mirrors-target-file", sheet.toString());
    press("#mirrors-tape-sheet");
    until("it is written", () -> Files.exists(sheet));
  }

  /** The quick check asks for the head's four corners alone: targets 1 to 4. */
  @Test
  void theQuickCheckTakesItsCornersFromThePicture() throws IOException {
    keys(KeyCode.CONTROL, KeyCode.DIGIT5);
    goOnWithoutProof();
    choose("#mirrors-school", MirrorsWay.QUICK);
    unfold();
    fill("#mirrors-photo", photograph("corners.png").toString());
    says("Target 6");
    press("#mirrors-tape-take");
    settle();
    assertThat(page()).contains("4 of 6 marks are taken");
    String[] corners = {"rear-left", "rear-right", "front-left", "front-right"};
    for (int i = 0; i < 4; i++) {
      assertThat(number("head-" + corners[i] + "-right"))
          .as(corners[i])
          .isCloseTo(BURNS[i][0], within(0.03));
      assertThat(number("head-" + corners[i] + "-up")).isCloseTo(BURNS[i][1], within(0.03));
    }
    assertThat(page()).contains("a second edge is not round");
  }

  /** What comes in from the phone is offered, once it is whole; older pictures are not. */
  @Test
  void theNewestPictureOfAFolderIsOffered() throws IOException {
    keys(KeyCode.CONTROL, KeyCode.DIGIT5);
    goOnWithoutProof();
    unfold();
    fill("#mirrors-photo-folder", "nowhere");
    says("no folder");
    Path old = photograph("phone/old.png");
    Files.setLastModifiedTime(old, FileTime.from(Instant.now().minus(Duration.ofDays(1))));
    fill("#mirrors-photo-folder", old.getParent().toString());
    Path fresh = photograph("phone/fresh.png");
    Files.writeString(fresh.resolveSibling("note.txt"), "no picture");
    until("it is offered", () -> app.scene().lookup("#mirrors-tape-choose-offered").isVisible());
    assertThat(words("#mirrors-tape-choose-offered")).isEqualTo("Take fresh.png");
    press("#mirrors-tape-choose-offered");
    says("Target 6");
    assertThat(words("#mirrors-photo")).isEqualTo(fresh.toString());
  }

  private void says(String words) {
    long end = System.nanoTime() + PATIENCE.toNanos();
    while (!page().contains(words)) {
      assertThat(System.nanoTime()).as(words).isLessThan(end);
    }
  }

  private double number(String field) {
    return Double.parseDouble(words("#mirrors-" + field));
  }
}
