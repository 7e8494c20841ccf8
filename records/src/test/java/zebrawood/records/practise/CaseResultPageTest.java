package zebrawood.records.practise;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import zebrawood.records.paper.Paper;
import zebrawood.records.practise.CaseResultPage.Deed;
import zebrawood.records.practise.CaseResultPage.Truth;
import zebrawood.words.Phrasebook;

class CaseResultPageTest {
  private static CaseResultPage page(int deeds) {
    return new CaseResultPage(
        "Pale at the rear, number 7",
        "a gantry with a diode module",
        "In front it is fine & at the rear <pale>.",
        "1 December 2026",
        List.of("51 minutes; who knew all needed 31.", "Nobody was in danger."),
        List.of(new Truth("bed falls by", "0.05 mm", "0.30 mm", "yes")),
        IntStream.range(0, deeds)
            .mapToObj(i -> new Deed(3 * i + " min", "Measure the bed", "Falls by " + i + " mm."))
            .toList());
  }

  /** What stands on paper is read back from the document that is printed. */
  @Test
  void allOfItStandsOnPaperHoweverLong() throws IOException {
    for (int deeds : new int[] {0, 4, 400}) {
      ByteArrayOutputStream pdf = new ByteArrayOutputStream();
      Paper.pdf(page(deeds).html(Phrasebook.ENGLISH), pdf);
      try (PDDocument document = Loader.loadPDF(pdf.toByteArray())) {
        String text = new PDFTextStripper().getText(document);
        assertThat(text)
            .contains("Pale at the rear, number 7")
            .contains("In front it is fine & at the rear <pale>.")
            .contains("Nobody was in danger.")
            .contains("0.05 mm")
            .contains("nothing of it is recorded");
        for (int i = 0; i < deeds; i++) {
          assertThat(text).contains("Falls by " + i + " mm.");
        }
        assertThat(document.getNumberOfPages()).isBetween(1, 30);
      }
    }
  }
}
