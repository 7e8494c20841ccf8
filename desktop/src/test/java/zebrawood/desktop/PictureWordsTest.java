package zebrawood.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import zebrawood.desktop.station.Practice;
import zebrawood.desktop.station.StationDefinition;
import zebrawood.desktop.station.StationModel;
import zebrawood.desktop.stations.StationList;
import zebrawood.ledger.Entry;
import zebrawood.ledger.Ledger;
import zebrawood.machine.Machine;
import zebrawood.records.kept.KeptReadings;
import zebrawood.records.picture.Canvas;
import zebrawood.records.workshop.Opening;
import zebrawood.records.workshop.Workshop;

/** No two words of a picture lie on one another, and none leaves it, whatever was read. */
class PictureWordsTest {
  /** Of the window at three sizes; the controller's stands small beside what is to be done. */
  private static final List<double[]> SIZES =
      List.of(
          new double[] {382, 482},
          new double[] {296, 248},
          new double[] {300, 330},
          new double[] {720, 700});

  private static final List<double[]> SMALL =
      List.of(new double[] {264, 126}, new double[] {296, 126});

  /** Mean width of a letter of 12 px, a little less, so that what is told does overlap. */
  private static final double LETTER = 5.6;

  /** Of bold figures. */
  private static final double BOLD = 7;

  private static final double LINE = 13;

  private static final int PRACTICES = 12;

  private record Words(String words, double left, double top, double right, double bottom) {
    boolean meets(Words other) {
      return left < other.right && other.left < right && top < other.bottom && other.top < bottom;
    }
  }

  /** Remembers where words stand. */
  private static final class WordsCanvas implements Canvas {
    private final double width;
    private final double height;
    private final List<Words> all = new ArrayList<>();

    WordsCanvas(double width, double height) {
      this.width = width;
      this.height = height;
    }

    @Override
    public double width() {
      return width;
    }

    @Override
    public double height() {
      return height;
    }

    private static Mark mark() {
      return new Mark() {
        @Override
        public Mark state(String name, boolean on) {
          return this;
        }
      };
    }

    @Override
    public Mark circle(double x, double y, double radius, String look) {
      return mark();
    }

    @Override
    public Mark line(double fromX, double fromY, double toX, double toY, String look) {
      return mark();
    }

    @Override
    public Mark arc(
        double x, double y, double radius, double startDeg, double lengthDeg, String look) {
      return mark();
    }

    @Override
    public Mark rectangle(double x, double y, double w, double h, String look) {
      return mark();
    }

    @Override
    public Mark image(byte[] png, double x, double y, double width, double height) {
      return mark();
    }

    @Override
    public Mark words(String words, double x, double y, double wrap, String look) {
      double whole = words.length() * (look.endsWith("-now") ? BOLD : LETTER);
      double wide = Math.min(whole, wrap);
      double high = LINE * Math.ceil(whole / wrap);
      if (!words.isBlank()) {
        all.add(new Words(words, x - wide / 2, y - high / 2, x + wide / 2, y + high / 2));
      }
      return mark();
    }

    @Override
    public Mark button(
        String id,
        String words,
        int turns,
        String name,
        double x,
        double y,
        String look,
        Runnable press) {
      return words(words, x, y, 160, look);
    }

    List<String> wrong() {
      List<String> wrong = new ArrayList<>();
      for (int i = 0; i < all.size(); i++) {
        Words one = all.get(i);
        if (one.left < -2 || one.top < -2 || one.right > width + 2 || one.bottom > height + 2) {
          wrong.add(one.words + " leaves the picture");
        }
        for (Words other : all.subList(i + 1, all.size())) {
          if (one.meets(other)) {
            wrong.add(one.words + " lies on " + other.words);
          }
        }
      }
      return wrong;
    }
  }

  static List<String> stations() {
    return StationList.ALL.stream().map(d -> d.station().id()).toList();
  }

  @ParameterizedTest
  @MethodSource("stations")
  void noWordsLieOnOneAnother(String station) throws Exception {
    StationDefinition definition =
        StationList.ALL.stream()
            .filter(d -> d.station().id().equals(station))
            .findFirst()
            .orElseThrow();
    Path file = Files.createTempDirectory("zebrawood-picture").resolve("demo.zebrawood");
    DemoCopy.write(file, Instant.parse("2026-05-04T08:00:00Z"));
    List<String> wrong = new ArrayList<>();
    int pictures = 0;
    try (Workshop workshop = ((Opening.Opened) Workshop.open(file)).workshop()) {
      for (Machine machine : workshop.machines().readable()) {
        Ledger ledger = new Ledger(machine, workshop.history(machine.id()));
        if (!definition.station().applies().test(machine)) {
          continue;
        }
        draw(machine.name() + ", empty", Models.open(definition, ledger), wrong);
        for (Entry entry : ledger.entriesAt(definition.station())) {
          StationModel<?, ?> read = Models.open(definition, ledger);
          read.form().type(KeptReadings.typed(entry).orElseThrow());
          draw(machine.name() + ", " + entry.kind() + " " + entry.time(), read, wrong);
          pictures++;
        }
        for (long number = 1; number <= PRACTICES; number++) {
          StationModel<?, ?> tried = Models.open(definition, ledger);
          long of = number;
          Models.readWithoutPictures(tried);
          tried
              .practice()
              .filter(Practice::offered)
              .ifPresent(practice -> {
                practice.start(of);
                practice.readAll();
              });
          draw(machine.name() + ", practice " + number, tried, wrong);
        }
      }
    }
    // What a file says cannot be typed: the demo has no job file.
    assertThat(pictures > 0).isEqualTo(!station.equals("jobfile"));
    assertThat(wrong).isEmpty();
  }

  private static void draw(String of, StationModel<?, ?> work, List<String> wrong) {
    for (double[] size : work.auditRows().isPresent() ? SMALL : SIZES) {
      WordsCanvas canvas = new WordsCanvas(size[0], size[1]);
      work.draw(canvas);
      canvas.wrong().forEach(w -> wrong.add(of + ", " + size[0] + " x " + size[1] + ": " + w));
    }
  }
}
