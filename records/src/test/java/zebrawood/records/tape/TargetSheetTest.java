package zebrawood.records.tape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static zebrawood.words.Phrasebook.ENGLISH;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.measure.Picture;
import zebrawood.measure.UnusableReading;
import zebrawood.tape.TapePhoto;
import zebrawood.tape.TapePhotoFinding;
import zebrawood.tape.TapePhotoFinding.Target;
import zebrawood.tape.TapePhotoReadings;

/** The sheet as it comes out of a printer: the PDF, drawn by a reader of PDFs. */
class TargetSheetTest {
  private static final int DPI = 254;

  @TempDir private Path folder;

  private BufferedImage printed() throws IOException {
    Path file = folder.resolve("targets.pdf");
    TargetSheet.write(file.toString(), ENGLISH);
    try (PDDocument document = Loader.loadPDF(file.toFile())) {
      assertThat(document.getNumberOfPages()).isEqualTo(1);
      return new PDFRenderer(document).renderImageWithDPI(0, DPI);
    }
  }

  private static boolean dark(BufferedImage page, double xMm, double yMm) {
    int rgb = page.getRGB((int) Math.round(10 * xMm), (int) Math.round(10 * yMm));
    return (rgb & 0xff) < 100;
  }

  /**
   * At 254 dots an inch a millimetre is ten pixels: the bars and a target's marks stand where they
   * must.
   */
  @Test
  void itIsPrintedAtTrueSize() throws IOException {
    BufferedImage page = printed();
    assertThat(page.getWidth()).isCloseTo(2100, within(3));
    assertThat(page.getHeight()).isCloseTo(2970, within(3));
    int first = -1;
    int last = -1;
    int y = 2500;
    for (; first < 0; y++) {
      for (int x = 150; x < 1205; x++) {
        boolean line = (page.getRGB(x, y) & 0xff) < 120 && (page.getRGB(x + 1, y) & 0xff) < 120;
        first = line && first < 0 && (page.getRGB(x + 400, y) & 0xff) < 120 ? x : first;
        last = line && first >= 0 ? x : last;
      }
    }
    assertThat((last - first) / 10.0).as("bar across").isCloseTo(100, within(0.5));
    // The third target of the first row: its ring, its hole, a disc and the larger third one.
    assertThat(dark(page, 127 - 16 - 1.65, 44 - 16)).isTrue();
    assertThat(dark(page, 127 - 16, 44 - 16)).isFalse();
    assertThat(dark(page, 127 + 16, 44 + 16)).isTrue();
    assertThat(dark(page, 127 + 16 + 1.3, 44 - 10)).isTrue();
    assertThat(dark(page, 127 + 8 + 1.3, 44 - 16)).isFalse();
  }

  /** A scan of the upper corner: four targets, read to where they stand on the paper. */
  @Test
  void whatIsPrintedIsRead() throws IOException {
    BufferedImage page = printed();
    Picture corner =
        new Picture() {
          @Override
          public int width() {
            return 1050;
          }

          @Override
          public int height() {
            return 1130;
          }

          @Override
          public double light(int x, int y) {
            return page.getRGB(x, y) & 0xff;
          }
        };
    TapePhotoFinding f =
        TapePhoto.solve(
            new TapePhotoReadings(
                "sheet.png", Optional.empty(), OptionalDouble.empty(), Optional.empty()),
            corner);
    assertThat(f.targets()).extracting(t -> t.number().getAsInt()).containsExactly(1, 2, 5, 6);
    Target second = f.targets().get(1);
    assertThat(second.middlePx().get(0)).isCloseTo(830, within(3.0));
    assertThat(second.middlePx().get(1)).isCloseTo(440, within(3.0));
    assertThat(second.pxPerMm()).isCloseTo(10, within(0.01));
    assertThat(second.marks()).as("print is no burn").isEmpty();
  }

  @Test
  void aNameSaysWhatIsWrittenAndNothingIsReplaced() throws IOException {
    Path svg = folder.resolve("targets.svg");
    TargetSheet.write(svg.toString(), ENGLISH);
    assertThat(Files.readString(svg)).contains("width=\"210mm\"", "Stick the cross");
    for (String name : List.of(svg.toString(), folder.resolve("targets.txt").toString())) {
      assertThatThrownBy(() -> TargetSheet.write(name, ENGLISH))
          .isInstanceOf(UnusableReading.class)
          .hasMessageContaining("pdf or svg");
    }
  }
}
