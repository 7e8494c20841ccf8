package zebrawood.desktop.manual;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import zebrawood.desktop.help.Topic;
import zebrawood.desktop.manual.Page.Block;
import zebrawood.desktop.manual.Page.Block.Caution;
import zebrawood.desktop.manual.Page.Block.Drawing;
import zebrawood.desktop.manual.Page.Block.Heading;
import zebrawood.desktop.manual.Page.Block.Link;
import zebrawood.desktop.manual.Page.Block.Paragraph;
import zebrawood.desktop.manual.Page.Block.Picture;
import zebrawood.desktop.manual.Page.Block.Said;
import zebrawood.desktop.manual.Page.Block.Table;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.text.Text;
import zebrawood.ledger.Phase;
import zebrawood.ledger.Station;
import zebrawood.machine.BedSupport;
import zebrawood.machine.Build;
import zebrawood.machine.Fitting;
import zebrawood.machine.Machine;
import zebrawood.machine.Source;
import zebrawood.machine.SourceKind;
import zebrawood.words.Phrasebook;

/** What the manual says, in the words of the program: a page a station, and pages over them all. */
final class Manual {
  private static final String YES = "\u2713";
  private static final String MEANS = ".means";
  private static final String NO = "\u2013";

  private final List<StationDefinition> definitions;
  private final List<Station> stations;
  private final Set<String> pictures;

  /**
   * @param definitions in the order of the work
   * @param pictures file names of views that are at hand; possibly none
   */
  Manual(List<StationDefinition> definitions, Set<String> pictures) {
    this.definitions = List.copyOf(definitions);
    stations = definitions.stream().map(StationDefinition::station).toList();
    this.pictures = Set.copyOf(pictures);
  }

  List<Page> pages() {
    List<Page> pages = new ArrayList<>();
    pages.add(visit());
    pages.add(ways());
    pages.add(daily());
    pages.add(figures());
    definitions.forEach(d -> pages.add(station(d)));
    return pages;
  }

  /** One visit from the first station to the last. */
  private Page visit() {
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Paragraph(Text.of("manual.visit.what")));
    blocks.add(new Paragraph(Text.of("manual.visit.order")));
    blocks.add(new Paragraph(Text.of("manual.visit.record")));
    for (Phase phase : Phase.values()) {
      blocks.add(new Heading(Text.of(phase)));
      for (Station s : stations) {
        if (s.phase() == phase) {
          blocks.add(new Link(s.id(), Text.of(s.title())));
          String rests =
              String.join(
                  ", ",
                  stations.stream()
                      .filter(o -> s.restsOn().contains(o.id()))
                      .map(o -> Text.of(o.title()))
                      .toList());
          blocks.add(
              new Paragraph(
                  rests.isEmpty()
                      ? Text.of("manual.visit.station", Text.of(s.question()), s.minutes())
                      : Text.of("manual.visit.rests", Text.of(s.question()), s.minutes(), rests)));
        }
      }
    }
    blocks.add(new Heading(Text.of("manual.visit.end")));
    blocks.add(new Paragraph(Text.of("manual.visit.leave")));
    return new Page("a-whole-visit", Text.of("manual.visit.title"), blocks);
  }

  /** Which stations a machine of each kind has. */
  private Page ways() {
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Paragraph(Text.of("manual.ways.what")));
    List<String> header = new ArrayList<>(List.of(Text.of("manual.ways.station")));
    Stream.of(Build.values()).map(Text::of).forEach(header::add);
    List<List<String>> rows = new ArrayList<>();
    for (Station s : stations) {
      List<String> row = new ArrayList<>(List.of(Text.of(s.title())));
      for (Build build : Build.values()) {
        long with =
            Stream.of(SourceKind.values())
                .filter(kind -> s.applies().test(machine(build, kind)))
                .count();
        row.add(
            with == SourceKind.values().length
                ? YES
                : with > 0
                    ? Text.of("manual.ways.some")
                    : s.applies().test(fitted(build)) ? Text.of("manual.ways.if-fitted") : NO);
      }
      rows.add(row);
    }
    blocks.add(new Table(header, rows));
    blocks.add(new Paragraph(Text.of("manual.ways.fitted")));
    return new Page("which-way-for-which-machine", Text.of("manual.ways.title"), blocks);
  }

  /** With everything that can be fitted. */
  private static Machine fitted(Build build) {
    return machine(build, SourceKind.CO2_GLASS_TUBE).withFittings(List.of(Fitting.values()));
  }

  private static Machine machine(Build build, SourceKind kind) {
    return new Machine(
        "manual",
        "manual",
        build,
        new Source(kind, kind.usualWatts(), kind.usualWavelengthNm()),
        600,
        400,
        BedSupport.SCREWS,
        0.3);
  }

  /** For the customer: what is looked at each day, before the first job. */
  private Page daily() {
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Paragraph(Text.of("manual.daily.what")));
    Topic.all("start")
        .filter(t -> t.key().startsWith("start.line."))
        .sorted(Comparator.comparing(Topic::name))
        .forEach(t -> {
          blocks.add(new Heading(t.name()));
          blocks.add(new Paragraph(t.what()));
          blocks.add(new Said(Text.of("about.how"), t.how()));
        });
    blocks.add(new Paragraph(Text.of("manual.daily.stop")));
    return new Page("for-the-customer", Text.of("manual.daily.title"), blocks);
  }

  /** What stands in the tiles, the notebook and on paper. */
  private Page figures() {
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Paragraph(Text.of("manual.figures.what")));
    blocks.add(new Paragraph(Text.of("manual.figures.margin")));
    for (Station s : stations) {
      blocks.add(new Heading(Text.of(s.title())));
      String of = s.id() + ".figure.";
      Text.words().keys(of).stream()
          .filter(key -> key.endsWith(MEANS))
          .map(key -> key.substring(0, key.length() - MEANS.length()))
          .sorted()
          .forEach(key ->
              blocks.add(
                  new Said(
                      Text.of("manual.figures.figure", Phrasebook.upperFirst(Text.of(key))),
                      Text.of(key + MEANS))));
    }
    return new Page("what-each-figure-means", Text.of("manual.figures.title"), blocks);
  }

  private Page station(StationDefinition definition) {
    Station s = definition.station();
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Paragraph(Text.of(s.question())));
    String picture = pictureOf(s);
    if (pictures.contains(picture)) {
      blocks.add(new Picture(picture, Text.of(s.title())));
    }
    Topic sheet = Topic.sheet(s.id());
    cautions(definition).forEach(c -> blocks.add(new Caution(c)));
    tell(blocks, sheet);
    Topic.all(s.id())
        .filter(t -> !t.equals(sheet))
        .sorted(Comparator.comparing(Topic::name).thenComparing(Topic::key))
        .forEach(t -> {
          blocks.add(new Heading(t.name()));
          tell(blocks, t);
        });
    blocks.add(new Paragraph(sheet.source()));
    return new Page(s.id(), Text.of(s.title()), blocks);
  }

  /** As a machine of each build is told, with its usual source; builds told alike are told once. */
  private static List<String> cautions(StationDefinition definition) {
    Map<String, List<String>> builds = new LinkedHashMap<>();
    for (Build build : Build.values()) {
      Stream.of(SourceKind.values())
          .map(kind -> machine(build, kind))
          .filter(m -> definition.station().applies().test(m))
          .findFirst()
          .ifPresent(m ->
              builds
                  .computeIfAbsent(Text.of(definition.caution().apply(m)), c -> new ArrayList<>())
                  .add(Text.of(build)));
    }
    if (builds.size() < 2) {
      return builds.isEmpty()
          ? List.of(Text.of(definition.caution().apply(fitted(Build.GANTRY_WITH_MIRRORS))))
          : List.copyOf(builds.keySet());
    }
    return builds.entrySet().stream()
        .map(e ->
            Text.of(
                "manual.caution",
                Phrasebook.upperFirst(String.join(", ", e.getValue())),
                e.getKey()))
        .toList();
  }

  private static void tell(List<Block> blocks, Topic topic) {
    blocks.add(new Paragraph(topic.what()));
    blocks.add(new Drawing(topic.drawing()));
    blocks.add(new Said(Text.of("about.how"), topic.how()));
    blocks.add(new Said(Text.of("about.why"), topic.why()));
    blocks.add(new Said(Text.of("about.wrong"), topic.wrong()));
  }

  /** As the pictures of the main views are named. */
  static String pictureOf(Station s) {
    return Phrasebook.ENGLISH.say(s.title()).toLowerCase(Locale.ROOT).replace(' ', '-') + ".png";
  }
}
