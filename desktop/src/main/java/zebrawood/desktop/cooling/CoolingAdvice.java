package zebrawood.desktop.cooling;

import java.util.ArrayList;
import java.util.List;
import zebrawood.desktop.sheet.Step;
import zebrawood.desktop.text.Text;
import zebrawood.measure.Numbers;
import zebrawood.site.Cooling;
import zebrawood.site.CoolingFinding;
import zebrawood.site.CoolingReadings;

/** A cooling finding as the steps and sentences of the sheet. */
final class CoolingAdvice {
  private CoolingAdvice() {}

  static List<Step> steps(CoolingOutcome outcome) {
    return switch (outcome) {
      case CoolingOutcome.Waiting(String next) ->
          List.of(new Step("", Text.of("cooling.do.read", next), Text.of("cooling.do.read.why")));
      case CoolingOutcome.Refused(String because) ->
          List.of(new Step("", Text.of("bed.do.mend"), because));
      case CoolingOutcome.Found(var readings, CoolingFinding finding) ->
          finding.advice().stream().map(s -> Step.ofAdvice(s, Cooling.PROVE)).toList();
    };
  }

  /** The line under the picture. */
  static String summary(CoolingOutcome outcome) {
    if (!(outcome instanceof CoolingOutcome.Found(CoolingReadings r, CoolingFinding f))) {
      return "";
    }
    List<String> sentences = new ArrayList<>();
    sentences.add(
        Text.of(
            "cooling.summary.air",
            Numbers.fixed(f.air().marginK(), 1),
            Numbers.fixed(f.air().dewPointC(), 1),
            Numbers.fixed(f.air().lowestCoolantC(), 1),
            Numbers.plain(r.limitC())));
    f.bucket()
        .ifPresent(b ->
            b.steadyC()
                .ifPresent(
                    c -> sentences.add(Text.of("cooling.summary.bucket", Numbers.fixed(c, 1)))));
    f.minutesToCool()
        .ifPresent(m -> sentences.add(Text.of("cooling.summary.cool", Numbers.fixed(m, 0))));
    f.litresEnough()
        .ifPresent(l -> sentences.add(Text.of("cooling.summary.litres", Numbers.fixed(l, 0))));
    f.chiller()
        .ifPresent(c ->
            sentences.add(
                Text.of(
                    "cooling.summary.chiller",
                    Numbers.fixed(c.capacityW(), 0),
                    Numbers.fixed(100 * c.shareUsed(), 0))));
    f.setPoint()
        .filter(s -> s.leastC() <= s.mostC())
        .ifPresent(s ->
            sentences.add(
                Text.of(
                    "cooling.summary.set-point",
                    Numbers.fixed(s.leastC(), 1),
                    Numbers.fixed(s.mostC(), 1))));
    return String.join(" ", sentences);
  }
}
