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
import java.util.stream.Stream;
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
import zebrawood.ledger.Recorded;
import zebrawood.machine.Machine;
import zebrawood.records.Samples;
import zebrawood.records.paper.Paper.Written;
import zebrawood.records.picture.SvgCanvas;
import zebrawood.words.Phrasebook;

class HandOverTest {
  @TempDir Path folder;

  private static HandOverSheet sheet(List<Entry> entries, List<Event> events) {
    return HandOverSheet.of(
        new Ledger(
            Samples.ALDER,
            Stream.concat(entries.stream(), events.stream()).map(r -> (Recorded) r).toList()),
        List.of(BedStation.STATION),
        new HandOverSheet.Hand(
            Map.of("bed", HandOverTest::picture),
            Samples.START.plusSeconds(86_400),
            ZoneOffset.UTC,
            "EH",
            Phrasebook.ENGLISH));
  }

  private static String picture(Entry entry) {
    SvgCanvas canvas = new SvgCanvas(300, 200);
    canvas.words(entry.stationId() + " & <plan>", 150, 100, "plan-now");
    canvas.circle(40, 40, 9, "plan-place").state("low", true);
    return canvas.svg();
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
        HandOver.write(
            sheet(VISIT, List.of(Samples.moved("m", 90))), Phrasebook.ENGLISH, folder, "alder");
    String text = textOf(written.pdf());
    assertThat(text)
        .contains("Alder & <Co>")
        .contains("CO₂ glass tube 90 W")
        .contains("as found", "as left", "limit")
        .contains("High to low 1.00 0.10 0.30 mm")
        .contains("stale · machine moved")
        .contains("Machine moved: to the shed")
        .contains("0 of 1")
        .contains("Eyewear for 10 600 nm")
        .contains("Technician, date", "Customer, date")
        .contains("Page 1 of ");
    assertThat(text).as("a glyph that the typeface lacks").doesNotContain("#");
    assertThat(Files.readString(written.html()))
        .contains("Alder &amp; &lt;Co&gt;", "<svg", "bed &amp; &lt;plan&gt;");
    assertThat(folder.toFile().list()).containsExactlyInAnyOrder("alder.html", "alder.pdf");
  }

  /** Marks that end a text of a style, a template's place or an argument. */
  @Test
  void noNameSpoilsThePage() throws IOException {
    String name = "Alder \"the big\" 'x' \\ {{y}} | </style> ; }";
    Machine odd =
        new Machine(
            "odd",
            name,
            Samples.ALDER.build(),
            Samples.ALDER.source(),
            Samples.ALDER.areaXMm(),
            Samples.ALDER.areaYMm(),
            Samples.ALDER.bedSupport(),
            0.3);
    HandOverSheet sheet =
        HandOverSheet.of(
            new Ledger(odd, List.of()),
            List.of(BedStation.STATION),
            new HandOverSheet.Hand(
                Map.of(), Samples.START, ZoneOffset.UTC, "E|H", Phrasebook.ENGLISH));
    String text = textOf(HandOver.write(sheet, Phrasebook.ENGLISH, folder, "odd").pdf());
    assertThat(text).contains(name + " ·").contains("by E|H").contains("Page 1 of ");
    assertThat(text.split(java.util.regex.Pattern.quote(name), -1))
        .as("at the head and at the foot")
        .hasSizeGreaterThanOrEqualTo(3);
  }

  @Test
  void typeIsEmbeddedAndPicturesAreVectors() throws IOException {
    Written written = HandOver.write(sheet(VISIT, List.of()), Phrasebook.ENGLISH, folder, "alder");
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
    String text =
        textOf(
            HandOver.write(sheet(List.of(), List.of()), Phrasebook.ENGLISH, folder, "new").pdf());
    assertThat(text).contains("No figures on record", "Nothing on record", "open");
  }

  @Test
  void aLongHistoryFillsNumberedPages() throws IOException {
    List<Event> events = new ArrayList<>();
    for (int i = 0; i < 90; i++) {
      events.add(Samples.moved("m" + i, 90 + i));
    }
    Path pdf = HandOver.write(sheet(VISIT, events), Phrasebook.ENGLISH, folder, "long").pdf();
    assertThat(textOf(pdf)).contains("Page 3 of");
  }

  @Test
  void aFolderThatCannotBeMadeIsSaid() throws IOException {
    Path file = Files.writeString(folder.resolve("file"), "x");
    assertThatThrownBy(() ->
            HandOver.write(sheet(VISIT, List.of()), Phrasebook.ENGLISH, file.resolve("in"), "a"))
        .isInstanceOf(IOException.class);
  }
}
