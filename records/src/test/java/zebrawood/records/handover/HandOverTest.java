package zebrawood.records.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.bed.BedStation;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.Ledger;
import zebrawood.records.Samples;
import zebrawood.records.bed.BedPlanSvg;
import zebrawood.records.bed.BedRecord;
import zebrawood.records.paper.Paper.Written;

class HandOverTest {
  @TempDir Path folder;

  private static HandOverSheet sheet(List<Entry> entries, List<Event> events) {
    return HandOverSheet.of(
        new Ledger(Samples.ALDER, entries, events),
        List.of(BedStation.STATION),
        Map.of("bed", e -> BedPlanSvg.of(BedRecord.of(e.readings()).task())),
        Samples.START.plusSeconds(86_400),
        ZoneOffset.UTC,
        "EH");
  }

  private static final List<Entry> VISIT =
      List.of(
          Samples.entry("a", EntryKind.AS_FOUND, 0, Samples.onScrews(6, 7, 6, 6.9)),
          Samples.entry("b", EntryKind.AS_LEFT, 40, Samples.onScrews(6.4, 6.5, 6.4, 6.4)));

  private static String textOf(Path pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      return new PDFTextStripper().getText(document);
    }
  }

  @Test
  void saysHowItWasFoundAndLeftWithLimitsEventsCautionsAndPlaceToSign() throws IOException {
    Written written =
        HandOver.write(sheet(VISIT, List.of(Samples.moved("m", 90))), folder, "alder");
    String text = textOf(written.pdf());
    assertThat(text)
        .contains("Alder & <Co>")
        .contains("CO₂ glass tube 90 W")
        .contains("as found", "as left", "limit")
        .contains("High to low 1.00 0.10 0.3 mm")
        .contains("stale · machine moved")
        .contains("Machine moved: to the shed")
        .contains("0 of 1")
        .contains("Eyewear for 10 600 nm")
        .contains("Technician, date", "Customer, date")
        .contains("Page 1 of ");
    assertThat(text).as("a glyph that the typeface lacks").doesNotContain("#");
    assertThat(Files.readString(written.html())).contains("Alder &amp; &lt;Co&gt;", "<svg");
    assertThat(folder.toFile().list()).containsExactlyInAnyOrder("alder.html", "alder.pdf");
  }

  @Test
  void typeIsEmbeddedAndPicturesAreVectors() throws IOException {
    Written written = HandOver.write(sheet(VISIT, List.of()), folder, "alder");
    try (PDDocument document = Loader.loadPDF(written.pdf().toFile())) {
      for (PDPage page : document.getPages()) {
        var resources = page.getResources();
        for (var name : resources.getFontNames()) {
          assertThat(resources.getFont(name).isEmbedded()).isTrue();
          assertThat(resources.getFont(name).getName()).contains("Inter");
        }
        for (var name : resources.getXObjectNames()) {
          assertThat(resources.isImageXObject(name)).isFalse();
        }
      }
    }
  }

  @Test
  void aMachineWithoutARecordHasASheetAllTheSame() throws IOException {
    String text = textOf(HandOver.write(sheet(List.of(), List.of()), folder, "new").pdf());
    assertThat(text).contains("No figures on record", "Nothing on record", "open");
  }

  @Test
  void aLongHistoryFillsNumberedPages() throws IOException {
    List<Event> events = new ArrayList<>();
    for (int i = 0; i < 90; i++) {
      events.add(Samples.moved("m" + i, 90 + i));
    }
    Path pdf = HandOver.write(sheet(VISIT, events), folder, "long").pdf();
    assertThat(textOf(pdf)).contains("Page 3 of");
  }

  @Test
  void aFolderThatCannotBeMadeIsSaid() throws IOException {
    Path file = Files.writeString(folder.resolve("file"), "x");
    assertThatThrownBy(() -> HandOver.write(sheet(VISIT, List.of()), file.resolve("in"), "a"))
        .isInstanceOf(IOException.class);
  }
}
