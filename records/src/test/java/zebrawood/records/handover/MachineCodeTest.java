package zebrawood.records.handover;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.decoder.Decoder;
import java.io.IOException;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import zebrawood.records.Samples;
import zebrawood.words.Phrasebook;

/** What is printed as a code is read back as a scanner reads it, and two days as a page. */
class MachineCodeTest {
  @Test
  void theCodeOpensTheMachineOfItsPassport() throws Exception {
    String svg = MachineCode.svg(Samples.ALDER);
    Matcher side = Pattern.compile("viewBox=\"0 0 (\\d+) (\\d+)\"").matcher(svg);
    assertThat(side.find()).isTrue();
    int quiet = 4; // ISO/IEC 18004, 6.3.8: four modules on each side
    BitMatrix code = new BitMatrix(Integer.parseInt(side.group(1)) - 2 * quiet);
    Matcher modules = Pattern.compile("M(\\d+) (\\d+)h1v1h-1z").matcher(svg);
    while (modules.find()) {
      int x = Integer.parseInt(modules.group(1)) - quiet;
      int y = Integer.parseInt(modules.group(2)) - quiet;
      assertThat(x).isBetween(0, code.getWidth() - 1);
      assertThat(y).isBetween(0, code.getHeight() - 1);
      code.set(x, y);
    }
    assertThat(new Decoder().decode(code).getText())
        .isEqualTo(MachineCode.words(Samples.ALDER))
        .endsWith(Samples.ALDER.id());
  }

  @Test
  void whatDiffersStandsOnThePageAndNothingElse() throws IOException {
    ComparisonPage page =
        new ComparisonPage(
            "Alder & <Co>",
            "a glass tube",
            "4 May 2026",
            "13 April: Bed left in order",
            "now",
            "1 differs",
            List.of(new ComparisonPage.Row("Bed", "0.20 mm", "1.20 mm", "out | by 1.00")),
            List.of("28 April: moved <to> the shed"),
            "Camera",
            "Laser off");
    String html = page.html(Phrasebook.ENGLISH);
    assertThat(html)
        .contains("Alder &amp; &lt;Co&gt;")
        .contains("0.20 mm")
        .contains("1.20 mm")
        .contains("moved &lt;to&gt; the shed")
        .contains("Camera")
        .doesNotContain("Nothing that was read differs");
    ComparisonPage same =
        new ComparisonPage("A", "b", "c", "d", "e", "f", List.of(), List.of(), "", "g");
    assertThat(same.html(Phrasebook.ENGLISH)).contains("Nothing that was read differs");
  }
}
