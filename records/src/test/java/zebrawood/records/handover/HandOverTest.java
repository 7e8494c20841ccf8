package zebrawood.records.handover;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.bed.BedStation;
import zebrawood.controller.Printed;
import zebrawood.focus.FocusStation;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Figure;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Quantity;
import zebrawood.records.Samples;
import zebrawood.records.kept.StationPaper;
import zebrawood.records.paper.Paper;
import zebrawood.records.paper.Paper.Written;
import zebrawood.records.picture.SvgCanvas;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

class HandOverTest {
  @TempDir Path folder;

  private static HandOverSheet sheet(List<Entry> entries, List<Event> events) {
    return sheet(
        Stream.concat(entries.stream(), events.stream()).map(r -> (Recorded) r).toList(),
        BedStation.STATION,
        "the spare screw was not at hand");
  }

  private static HandOverSheet sheet(List<Recorded> history, Station station, String remark) {
    return HandOverSheet.of(
        new Ledger(Samples.ALDER, history),
        List.of(station),
        new HandOverSheet.Hand(
            KEPT,
            Samples.START.plusSeconds(86_400),
            ZoneOffset.UTC,
            "EH",
            Phrasebook.ENGLISH,
            remark));
  }

  private static final PaperContent KEPT =
      new PaperContent() {
        @Override
        public Message caution(Station station) {
          return Message.verbatim("Fingers away from the bed");
        }

        @Override
        public Printed of(Entry entry) {
          return new Printed(
              new StationPaper(
                  picture(entry),
                  List.of(
                      new StationPaper.Answered(Message.verbatim("it was seen <to>"), true),
                      new StationPaper.Answered(Message.verbatim("it stays"), false)),
                  List.of(
                      new StationPaper.Setting("par beam top", "1000"),
                      new StationPaper.Setting("a&b", "0")),
                  Message.NONE),
              entry.id().equals("old"));
        }
      };

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

  private static Written write(HandOverSheet sheet, Path folder, String name) throws IOException {
    return Paper.write(HandOver.html(sheet, Phrasebook.ENGLISH), folder, name);
  }

  private static String textOf(Path pdf) throws IOException {
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      return new PDFTextStripper().getText(document);
    }
  }

  @Test
  void saysHowItWasFoundAndLeftWithLimitsEventsCautionsAndPlaceToSign() throws IOException {
    Written written = write(sheet(VISIT, List.of(Samples.moved("m", 90))), folder, "alder");
    String text = textOf(written.pdf());
    assertThat(text)
        .contains("Alder & <Co>")
        .contains("CO₂ glass tube 90 W")
        .contains("as found", "as left", "limit")
        .contains("High to low 1.00 0.10 0.30 mm")
        .contains("in doubt · machine moved")
        .contains("Machine moved: to the shed")
        .contains("0 of 1")
        .contains("Eyewear for 10 600 nm")
        .contains("Technician, date", "Customer, date")
        .contains("Page 1 of ")
        .contains("Serial number not told")
        .contains("how it stands", "The technician says: the spare screw was not at hand")
        .contains("Fingers away from the bed")
        .contains("Settings as left", "par beam top 1000", "a&b 0")
        .containsPattern("in doubt · machine moved,\\s+since\\s+02");
    assertThat(text).as("a glyph that the typeface lacks").doesNotContain("#");
    assertThat(Files.readString(written.html()))
        .contains("Alder &amp; &lt;Co&gt;", "<svg", "bed &amp; &lt;plan&gt;");
    assertThat(folder.toFile().list()).containsExactlyInAnyOrder("alder.html", "alder.pdf");
  }

  /** A sheet that was signed and the one of the evening stand side by side. */
  @Test
  void nothingIsReplacedWhenItIsWrittenTwice() throws IOException {
    HandOverSheet first = sheet(VISIT, List.of());
    Written morning = write(first, folder, "alder");
    byte[] signed = Files.readAllBytes(morning.pdf());
    Written evening = write(sheet(VISIT, List.of(Samples.moved("m", 90))), folder, "alder");
    assertThat(evening.pdf().getFileName()).hasToString("alder-2.pdf");
    assertThat(evening.html().getFileName()).hasToString("alder-2.html");
    assertThat(Files.readAllBytes(morning.pdf())).isEqualTo(signed);
  }

  private static Entry ofLens(String lens, int minutes, double gapMm) {
    Instant at = Samples.START.plusSeconds(60L * minutes);
    return new Entry(
        "of " + lens,
        Samples.ALDER.id(),
        FocusStation.STATION.id(),
        Optional.of(lens),
        EntryKind.AS_LEFT,
        at,
        at,
        "EH",
        Message.NONE,
        "{}",
        "{}",
        Verdict.WITHIN,
        List.of(Figure.of("gap", gapMm, Quantity.LENGTH)),
        Optional.empty());
  }

  private static Event fitted(String lens, int minutes) {
    Instant at = Samples.START.plusSeconds(60L * minutes);
    return new Event(
        lens,
        Samples.ALDER.id(),
        EventKind.LENS_KNOWN,
        at,
        at,
        "EH",
        "",
        Optional.of(lens),
        List.of(),
        Optional.empty());
  }

  /** What was left of one lens is never printed as that of another. */
  @Test
  void everyLensHasAPartOfItsOwnWithItsName() throws IOException {
    List<Recorded> history =
        List.of(fitted("160 mm", 0), ofLens("160 mm", 1, 187.16), fitted("254 mm", 2));
    HandOverSheet sheet = sheet(history, FocusStation.STATION, "");
    assertThat(sheet.stations())
        .extracting(HandOverSheet.StationPart::title)
        .containsExactly("Focus, 254 mm", "Focus, 160 mm: on file, not on the machine");
    assertThat(sheet.stations().getFirst().figures()).isEmpty();
    assertThat(sheet.stations().getFirst().telling().value()).isEqualTo("–");
    assertThat(sheet.stations().getLast().telling().value()).contains("187.16");
    String text = textOf(write(sheet, folder, "alder").pdf());
    assertThat(text.indexOf("187.16")).isGreaterThan(text.indexOf("Focus, 160 mm: on file"));
    assertThat(sheet.stations().getFirst().standing()).isEqualTo("open");
  }

  private static Machine named(String name) {
    return new Machine(
        "odd",
        name,
        Samples.ALDER.build(),
        Samples.ALDER.source(),
        Samples.ALDER.areaXMm(),
        Samples.ALDER.areaYMm(),
        Samples.ALDER.bedSupport(),
        0.3);
  }

  /** Marks that end a text of a style, a template's place or an argument. */
  @Test
  void noNameSpoilsThePage() throws IOException {
    String name = "Alder \"the big\" 'x' \\ {{y}} | </style> ; }";
    Machine odd = named(name);
    HandOverSheet sheet =
        HandOverSheet.of(
            new Ledger(odd, List.of()),
            List.of(BedStation.STATION),
            new HandOverSheet.Hand(
                PaperContent.FIGURES_ONLY,
                Samples.START,
                ZoneOffset.UTC,
                "E|H",
                Phrasebook.ENGLISH,
                "a | b"));
    String text = textOf(write(sheet, folder, "odd").pdf());
    assertThat(text).contains(name + " ·").contains("by E|H").contains("Page 1 of ");
    assertThat(text.split(java.util.regex.Pattern.quote(name), -1))
        .as("at the head and at the foot")
        .hasSizeGreaterThanOrEqualTo(3);
  }

  @Test
  void typeIsEmbeddedAndPicturesAreVectors() throws IOException {
    Written written = write(sheet(VISIT, List.of()), folder, "alder");
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
    String text = textOf(write(sheet(List.of(), List.of()), folder, "new").pdf());
    assertThat(text).contains("No figures on record", "Nothing on record", "open");
  }

  @Test
  void everyScriptIsPrintedOrSaidNotToBe() throws IOException {
    String arabic = "\u0622\u0644\u0629 \u0627\u0644\u062d\u0641\u0631";
    String chinese = "\u96d5\u523b\u673a";
    Machine machine =
        named(
            "Alder "
                + arabic
                + " \u041e\u043b\u044c\u0445\u0430 "
                + chinese
                + " \u0007\ud83d\ude00");
    HandOverSheet sheet =
        HandOverSheet.of(
            new Ledger(machine, List.of()),
            List.of(BedStation.STATION),
            new HandOverSheet.Hand(
                PaperContent.FIGURES_ONLY,
                Samples.START,
                ZoneOffset.UTC,
                "EH",
                Phrasebook.ENGLISH,
                ""));
    Written written = write(sheet, folder, "scripts");
    String text = textOf(written.pdf());
    assertThat(text).doesNotContain("#").contains("\u041e\u043b\u044c\u0445\u0430", "\ud83d\ude00");
    // Chinese is printed where this computer has a typeface for it, else it is said.
    assertThat(
            text.contains("\u96d5")
                || text.contains("\u25af\u25af\u25af") && text.contains("A box"))
        .isTrue();
    // Joined letters are printed as the forms that they have beside one another.
    assertThat(
            java.text.Normalizer.normalize(text, java.text.Normalizer.Form.NFKC)
                .codePoints()
                .filter(c -> c >= 0x600 && c < 0x700)
                .count())
        .isGreaterThanOrEqualTo(16);
    assertThat(Files.readString(written.html())).contains(arabic, chinese).doesNotContain("A box");
  }

  @Test
  void onlyWhatWasReadOnOneVisitStandsSideBySideAndTheNewestBeside() throws IOException {
    Entry early =
        Samples.entry("x", EntryKind.AS_FOUND, -60 * 24 * 9, Samples.onScrews(6, 9, 6, 6));
    Entry later = Samples.entry("c", EntryKind.CHECK, 300, Samples.onScrews(6.4, 6.4, 6.4, 6.9));
    String text =
        textOf(
            write(sheet(List.of(early, VISIT.get(1), later), List.of()), folder, "visits").pdf());
    assertThat(text)
        .as("what another visit found is not beside what this one left")
        .contains("newest", "High to low \u2013 0.10 0.50 0.30 mm");
  }

  @Test
  void whatWasProvenOnTheDayStandsWithItsTimeAndInitials() throws IOException {
    Entry today =
        Samples.entry("t", EntryKind.AS_LEFT, 60 * 24 - 10, Samples.onScrews(6.4, 6.5, 6.4, 6.4));
    String text = textOf(write(sheet(List.of(today), List.of()), folder, "day").pdf());
    assertThat(text)
        .containsPattern("Bed It was seen <to> yes EH")
        .containsPattern("Bed It stays NO EH");
    assertThat(textOf(write(sheet(List.of(), List.of()), folder, "none").pdf()))
        .contains("Nothing was proven by hand and eye");
  }

  @Test
  void theCardIsOnePage() throws IOException {
    Path pdf =
        Paper.write(HandOver.card(sheet(VISIT, List.of()), Phrasebook.ENGLISH), folder, "card")
            .pdf();
    try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
      assertThat(document.getNumberOfPages()).isOne();
    }
    assertThat(textOf(pdf)).contains("High to low 0.10", "0.30", "holds until");
  }

  @Test
  void theLastPageIsNotEmpty() throws IOException {
    for (int i = 0; i < 40; i += 3) {
      List<Event> events = new ArrayList<>();
      for (int k = 0; k < i; k++) {
        events.add(Samples.moved("m" + k, 90 + k));
      }
      Path pdf = write(sheet(VISIT, events), folder, "n" + i).pdf();
      try (PDDocument document = Loader.loadPDF(pdf.toFile())) {
        PDFTextStripper last = new PDFTextStripper();
        last.setStartPage(document.getNumberOfPages());
        assertThat(last.getText(document))
            .as("with %s events", i)
            .containsAnyOf("What happened", "Machine moved");
        PDFTextStripper first = new PDFTextStripper();
        first.setEndPage(1);
        assertThat(first.getText(document)).contains("Technician, date", "holds until");
      }
    }
  }

  @Test
  void aLongHistoryFillsNumberedPages() throws IOException {
    List<Event> events = new ArrayList<>();
    for (int i = 0; i < 90; i++) {
      events.add(Samples.moved("m" + i, 90 + i));
    }
    Path pdf = write(sheet(VISIT, events), folder, "long").pdf();
    assertThat(textOf(pdf)).contains("Page 3 of");
  }

  @Test
  void whatIsCancelledWritesNothing() {
    assertThatThrownBy(() ->
            Paper.write(
                HandOver.html(sheet(VISIT, List.of()), Phrasebook.ENGLISH),
                folder.resolve("in"),
                "a",
                () -> true))
        .isInstanceOf(java.util.concurrent.CancellationException.class);
    assertThat(folder).isEmptyDirectory();
  }

  @Test
  void aFolderThatCannotBeMadeIsSaid() throws IOException {
    Path file = Files.writeString(folder.resolve("file"), "x");
    assertThatThrownBy(() -> write(sheet(VISIT, List.of()), file.resolve("in"), "a"))
        .isInstanceOf(IOException.class);
  }
}
