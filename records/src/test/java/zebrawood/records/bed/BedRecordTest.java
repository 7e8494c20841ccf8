package zebrawood.records.bed;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.List;
import java.util.Map;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;
import zebrawood.bed.BedTask;
import zebrawood.bed.Feel;
import zebrawood.bed.FeelCheck.FeelReadings;
import zebrawood.bed.FeelCheck.FeltPlace;
import zebrawood.records.Samples;

class BedRecordTest {
  private static final BedTask FELT =
      new BedTask.ByFeel(
          new FeelReadings(
              List.of(
                  new FeltPlace("front <left>", 0, 0, Feel.SLIDES),
                  new FeltPlace("front right", 700, 0, Feel.GAP),
                  new FeltPlace("rear left", 0, 500, Feel.TOUCHES))));

  private static final List<BedTask> ALL =
      List.of(Samples.onScrews(6, 7, 6, 6.5), Samples.onShims(180, 180.4, 180, 180.2), FELT);

  @Test
  void anyFigureCanBeTracedToTheReadingsBehindIt() {
    for (BedTask task : ALL) {
      BedRecord kept = BedRecord.of(BedRecord.readings(Map.of("reading.0", "1/4 in"), task));
      assertThat(kept.task()).isEqualTo(task);
      assertThat(kept.task().solve()).isEqualTo(task.solve());
      assertThat(kept.typed()).containsEntry("reading.0", "1/4 in");
      assertThat(BedRecord.finding(task.solve())).contains("\"verdict\"");
    }
  }

  @Test
  void thePlanIsAWellFormedPictureOfEveryPlace() throws Exception {
    for (BedTask task : ALL) {
      DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
      Document svg =
          factory
              .newDocumentBuilder()
              .parse(new InputSource(new StringReader(BedPlanSvg.of(task))));
      assertThat(svg.getDocumentElement().getTagName()).isEqualTo("svg");
      assertThat(svg.getElementsByTagName("circle").getLength()).isGreaterThanOrEqualTo(3);
    }
    assertThat(BedPlanSvg.of(ALL.get(0))).contains("turn c").contains("+0.");
    assertThat(BedPlanSvg.of(ALL.get(1))).contains("0.00 mm");
    assertThat(BedPlanSvg.of(FELT)).contains("slides", "gap", "touches");
  }
}
