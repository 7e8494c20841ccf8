package zebrawood.desktop.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.IllegalFormatException;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import zebrawood.controller.ControllerReadings.Head;
import zebrawood.controller.ControllerReadings.Policy;
import zebrawood.controller.ControllerReadings.Units;
import zebrawood.controller.ControllerVisit.HomeAtStart;
import zebrawood.controller.ControllerVisit.TwoMarks;
import zebrawood.desktop.bed.BedWay;
import zebrawood.desktop.controller.Origin;
import zebrawood.desktop.controller.YesNo;
import zebrawood.desktop.cooling.CoolingWay;
import zebrawood.desktop.mirrors.MarkPlace;
import zebrawood.desktop.mirrors.MirrorModel;
import zebrawood.desktop.mirrors.MirrorOneAt;
import zebrawood.desktop.sheet.Proven;
import zebrawood.desktop.site.DuctWall;
import zebrawood.measure.Verdict;
import zebrawood.mirrors.MirrorReadings.Towards;
import zebrawood.mirrors.MirrorVisit.ScrewsBy;
import zebrawood.site.Breathing.AirSource;
import zebrawood.site.Breathing.BlowerAt;
import zebrawood.site.Breathing.Outlet;
import zebrawood.site.Coldest.Glycol;
import zebrawood.site.Duct;
import zebrawood.site.WayIn;
import zebrawood.start.GoLine;

class TextTest {
  private static final Pattern KEY = Pattern.compile("\"([a-z]+(?:[.-][a-z-]+)+)\"");
  private static final Pattern DEFINED = Pattern.compile("^([a-zA-Z0-9_.-]+)=", Pattern.MULTILINE);

  private static Set<String> defined() throws IOException {
    try (InputStream in = Text.class.getResourceAsStream("words.properties")) {
      String all = new String(in.readAllBytes(), StandardCharsets.UTF_8);
      Set<String> keys = new TreeSet<>();
      Matcher m = DEFINED.matcher(all);
      while (m.find()) {
        assertThat(keys.add(m.group(1))).as("%s is there once", m.group(1)).isTrue();
      }
      return keys;
    }
  }

  private static Set<String> used() throws IOException {
    Set<String> keys = new TreeSet<>();
    try (Stream<Path> files = Files.walk(Path.of("src/main/java"))) {
      for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
        Matcher m = KEY.matcher(Files.readString(file));
        while (m.find()) {
          keys.add(m.group(1));
        }
      }
    }
    for (BedWay way : BedWay.values()) {
      String key = "bed.way." + way.name().toLowerCase(Locale.ROOT).replace('_', '-');
      keys.add(key);
      keys.add(key + ".hint");
    }
    for (CoolingWay way : CoolingWay.values()) {
      keys.add("cooling.way." + way.name().toLowerCase(Locale.ROOT) + ".costs");
    }
    Map<String, Enum<?>[]> choices =
        Map.of(
            "cooling.way", CoolingWay.values(),
            "site.way.kind", WayIn.Kind.values(),
            "site.fitting", Duct.FittingKind.values(),
            "site.blower-at", BlowerAt.values(),
            "site.outlet", Outlet.values(),
            "site.air-source", AirSource.values(),
            "start.kind", GoLine.Kind.values());
    choices = new java.util.HashMap<>(choices);
    choices.put("mirrors.one-at", MirrorOneAt.values());
    choices.put("mirrors.place", MarkPlace.values());
    choices.put("mirrors.towards", Towards.values());
    choices.put("mirrors.school", MirrorModel.School.values());
    choices.put("mirrors.screws-by", ScrewsBy.values());
    for (String task :
        java.util.List.of("sound", "twisted_rail", "unsquare_gantry", "loose_mount")) {
      keys.add("mirrors.task." + task);
    }
    choices.put("controller.home-at-start", HomeAtStart.values());
    choices.put("controller.head", Head.values());
    choices.put("controller.corner", Origin.values());
    choices.put("controller.side", Policy.values());
    choices.put("controller.two-marks", TwoMarks.values());
    choices.put("controller.unit", Units.values());
    choices.put("controller.yes-no", YesNo.values());
    choices.forEach((key, values) -> {
      for (Enum<?> value : values) {
        keys.add(key + "." + value.name().toLowerCase(Locale.ROOT));
      }
    });
    for (Glycol glycol : Glycol.values()) {
      keys.add("cooling.glycol." + glycol.name().toLowerCase(Locale.ROOT));
    }
    for (DuctWall wall : DuctWall.values()) {
      keys.add("site.wall." + wall.name().toLowerCase(Locale.ROOT));
    }
    for (Proven proven : Proven.values()) {
      keys.add("proof." + proven.name().toLowerCase(Locale.ROOT));
    }
    for (Verdict verdict : Verdict.values()) {
      keys.add("verdict." + verdict.name());
    }
    keys.addAll(Set.of("bed.places.across", "bed.places.deep"));
    return keys;
  }

  @Test
  void everyWordIsUsedAndNoWordIsMissing() throws IOException {
    Set<String> unused = defined();
    unused.removeAll(used());
    assertThat(unused).as("defined and never used").isEmpty();
    Set<String> firsts = new TreeSet<>();
    defined().forEach(k -> firsts.add(k.substring(0, k.indexOf('.'))));
    Set<String> missing = used();
    missing.removeIf(k -> !k.contains(".") || !firsts.contains(k.substring(0, k.indexOf('.'))));
    missing.removeAll(defined());
    assertThat(missing).as("used and never defined").isEmpty();
  }

  @Test
  void everyFormatIsAFormat() throws IOException {
    for (String key : defined()) {
      String words = Text.of(key);
      if (words.contains("%")) {
        try {
          String unused =
              String.format(
                  words.replaceAll("%[.\\d]*[df]", "%s"), (Object[]) "aaaaaaaaa".split(""));
          assertThat(unused).isNotEmpty();
        } catch (IllegalFormatException e) {
          throw new AssertionError(key + ": " + words, e);
        }
      }
    }
  }
}
