package zebrawood.records.start;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import zebrawood.bed.BedStation;
import zebrawood.ledger.Entry;
import zebrawood.ledger.EntryKind;
import zebrawood.ledger.Event;
import zebrawood.ledger.EventKind;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Standing;
import zebrawood.machine.Fitting;
import zebrawood.machine.Identity;
import zebrawood.machine.Lens;
import zebrawood.machine.Machine;
import zebrawood.machine.Train;
import zebrawood.machine.Trial;
import zebrawood.measure.Verdict;
import zebrawood.records.Samples;
import zebrawood.records.json.RecordJson;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.paper.Paper;
import zebrawood.records.paper.Paper.Written;
import zebrawood.start.GoCard;
import zebrawood.start.StartReadings;
import zebrawood.start.StartReadings.Answer;
import zebrawood.start.StartReadings.Asked;
import zebrawood.words.Message;
import zebrawood.words.Phrasebook;

class GoCardPageTest {
  @TempDir private Path folder;

  private static GoCard card(Event... events) {
    return GoCard.of(
        new Ledger(Samples.ALDER, List.of(events)),
        List.of(),
        Samples.START.plus(Duration.ofDays(2)),
        ZoneOffset.UTC);
  }

  @Test
  void everyLineOfTheCardIsOnPaperWithItsBoxAndTheOddNameIsEscaped() throws IOException {
    GoCard card =
        card(
            new Event(
                "v",
                "alder",
                EventKind.SPOILT,
                Samples.START,
                Samples.START,
                "EH",
                "lens <cap> left on",
                Optional.empty(),
                List.of(),
                Optional.empty()));
    GoCardPage page =
        GoCardPage.of(
            Samples.ALDER,
            card,
            Map.of(BedStation.STATION, new Standing.Open(Optional.empty(), Optional.empty())),
            "04 Mar",
            ZoneOffset.UTC,
            Phrasebook.ENGLISH);
    Written written = Paper.write(page.html(Phrasebook.ENGLISH), folder, "card");
    String html = Files.readString(written.html());
    assertThat(html).contains("Alder &amp; &lt;Co&gt;", "lens &lt;cap&gt; left on");
    assertThat(html.split("class=\"box\"")).hasSize(card.lines().size() + 1);
    try (PDDocument pdf = Loader.loadPDF(written.pdf().toFile())) {
      assertThat(pdf.getNumberOfPages()).as("one sheet for the wall").isEqualTo(1);
      String text = new PDFTextStripper().getText(pdf).replaceAll("\\s+", " ");
      assertThat(text)
          .contains("Before anything is powered", "1. chiller on", "It went wrong here before")
          .contains("Did not hold on 04 Mar", "Bed: open")
          .contains("Never in this machine", "hydrogen chloride");
    }
  }

  /** The most that a card has: every fitting, the longest order, every lesson, long names. */
  @Test
  void theFullestCardIsOnePageAllTheSame() throws IOException {
    String longest = "W".repeat(60);
    Machine full =
        new Machine(
            "full",
            longest,
            Samples.ALDER.build(),
            Samples.ALDER.source(),
            700,
            500,
            Samples.ALDER.bedSupport(),
            0.3,
            Optional.of(List.of(Fitting.values())),
            Optional.of(List.of(longest, longest, longest, longest, longest, longest, longest)),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    List<Event> events = new java.util.ArrayList<>();
    for (int i = 0; i < 6; i++) {
      events.add(
          new Event(
              "v" + i,
              "full",
              EventKind.SPOILT,
              Samples.START,
              Samples.START,
              "EH",
              i + " lens cap left on " + longest,
              Optional.empty(),
              List.of(),
              Optional.empty()));
    }
    GoCard card =
        GoCard.of(
            new Ledger(full, events), List.of(), Samples.START.plusSeconds(60), ZoneOffset.UTC);
    GoCardPage page =
        GoCardPage.of(
            full,
            card,
            Map.of(BedStation.STATION, new Standing.Open(Optional.empty(), Optional.empty())),
            "04 Mar",
            ZoneOffset.UTC,
            Phrasebook.ENGLISH);
    Written written = Paper.write(page.html(Phrasebook.ENGLISH), folder, "full");
    try (PDDocument pdf = Loader.loadPDF(written.pdf().toFile())) {
      assertThat(pdf.getNumberOfPages()).isOne();
    }
  }

  @Test
  void aCardAndAMachinesFittingsComeBackAsTheyWere() {
    StartReadings readings =
        new StartReadings(
            card().lines().stream().map(l -> new Asked(l, Answer.EARLIER)).toList(),
            OptionalDouble.of(18.5),
            OptionalDouble.empty(),
            true);
    Map<String, String> typed = Map.of("reading.coolant", "18,5");
    Entry kept = kept(KeptReadings.write(typed, readings, StartReadings.class));
    assertThat(KeptReadings.typed(kept)).contains(typed);
    assertThat(KeptReadings.read(kept, StartReadings.class)).contains(readings);
    assertThat(RecordJson.write(readings)).contains("EARLIER".toLowerCase(Locale.ROOT));
    Machine own =
        new Machine(
            "id",
            "Alder",
            Samples.ALDER.build(),
            Samples.ALDER.source(),
            700,
            500,
            Samples.ALDER.bedSupport(),
            0.3,
            Optional.of(List.of(Fitting.KEY_SWITCH, Fitting.EXHAUST)),
            Optional.of(List.of("computer", "machine")),
            Optional.of(
                List.of(
                    new Lens(50.8, OptionalDouble.empty()), new Lens(160, OptionalDouble.of(110)))),
            Optional.of(new Train(List.of(45.0, 30.0, 45.0))),
            Optional.of(
                new Identity(Optional.of("12-B"), Optional.of("the shed"), Optional.empty())),
            Optional.of(Trial.IN_USE),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());
    assertThat(RecordJson.read(RecordJson.write(own), Machine.class)).isEqualTo(own);
    assertThat(RecordJson.read(RecordJson.write(Samples.ALDER), Machine.class))
        .as("described before fittings were asked for")
        .isEqualTo(Samples.ALDER);
  }

  private static Entry kept(String readings) {
    return new Entry(
        "id",
        Samples.ALDER.id(),
        "start",
        Optional.empty(),
        EntryKind.CHECK,
        Samples.START,
        Samples.START,
        "EH",
        Message.NONE,
        readings,
        "{}",
        Verdict.WITHIN,
        List.of(),
        Optional.empty());
  }
}
