package zebrawood.desktop.cards;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.cards.CardChooseFinding.Setting;
import zebrawood.cards.CardGrid;
import zebrawood.cards.CardScanFinding;
import zebrawood.cards.CardSteps;
import zebrawood.cards.CardsFinding;
import zebrawood.cards.CardsFinding.Chosen;
import zebrawood.cards.Grade;
import zebrawood.desktop.photo.PhotoMarks;
import zebrawood.desktop.photo.PhotoView;
import zebrawood.desktop.text.Text;
import zebrawood.quantity.Numbers;
import zebrawood.records.picture.Canvas;
import zebrawood.words.Message;

/**
 * The card as it is: powers from the left, speeds from below, each square as dark as it came out or
 * with the sign of its grade; the settings of the wanted darkness as a dashed line, the one to use
 * in a ring. Above it the scan, with the crosses that were pressed.
 */
final class CardsPicture {
  private static final double LEFT = 62;
  private static final double BELOW = 62;
  private static final double EDGE = 14;
  private static final double OF_CELL = 0.82;

  /** Narrower, there is no room for what the axes are. */
  private static final double WIDE = 340;

  /** Looks of a square from bare to black. */
  private static final int TONES = 10;

  private final Optional<CardGrid> grid;
  private final Optional<PhotoView> photo;
  private final double width;
  private final double top;
  private final double cell;
  private final double bottom;

  CardsPicture(Optional<CardGrid> grid, Optional<PhotoView> photo, double width, double height) {
    this.grid = grid;
    this.photo = photo;
    this.width = width;
    top = photo.map(p -> p.bottom() + 26).orElse(EDGE);
    bottom = height - BELOW;
    cell =
        grid.map(g -> Math.min((width - LEFT - EDGE) / g.columns(), (bottom - top) / g.rows()))
            .orElse(0.0);
  }

  private double left(double column) {
    double used = grid.map(g -> g.columns() * cell).orElse(0.0);
    return LEFT + (width - LEFT - EDGE - used) / 2 + column * cell;
  }

  private double lower(double row) {
    return bottom - row * cell;
  }

  /** Column and row of the square at a place; empty beside all of them. */
  Optional<int[]> squareAt(double x, double y) {
    if (grid.isEmpty() || cell <= 0) {
      return Optional.empty();
    }
    int column = (int) Math.floor((x - left(0)) / cell);
    int row = (int) Math.floor((bottom - y) / cell);
    boolean on =
        column >= 0 && row >= 0 && column < grid.get().columns() && row < grid.get().rows();
    return on ? Optional.of(new int[] {column, row}) : Optional.empty();
  }

  void draw(
      Canvas on,
      PhotoMarks crosses,
      List<String> grades,
      boolean trial,
      Optional<CardsFinding> found,
      OptionalDouble wanted) {
    photo.ifPresent(view -> {
      view.drawPicture(on);
      view.drawMarks(on, crosses);
      String next =
          crosses
              .next()
              .map(m -> Text.of("cards.photo.press", crosses.numberOf(m), Message.of(m.what())))
              .orElse(Text.of(found.isPresent() ? "cards.photo.told" : "cards.photo.wait"));
      on.words(next, on.width() / 2, view.bottom() + 13, on.width() - 20, "plan-side");
    });
    if (grid.isEmpty() || cell < 4 || trial) {
      on.words(
          Text.of(trial ? "cards.picture.trial" : "cards.picture.empty"),
          on.width() / 2,
          (top + bottom) / 2,
          on.width() - 40,
          "plan-side");
      return;
    }
    squares(on, grades, found);
    axes(on);
    found.flatMap(CardsFinding::choice).ifPresent(c -> line(on, c.settings()));
    found.flatMap(CardsFinding::fastest).ifPresent(c -> ring(on, c));
    String below =
        wanted.isPresent() && found.flatMap(CardsFinding::choice).isPresent()
            ? "cards.picture.dashed"
            : grades.isEmpty() ? "cards.picture.power" : "cards.picture.grades";
    on.words(Text.of(below), on.width() / 2, on.height() - 15, on.width() - 20, "plan-side");
  }

  private void squares(Canvas on, List<String> grades, Optional<CardsFinding> found) {
    CardGrid g = grid.orElseThrow();
    List<CardScanFinding.Square> dark =
        found.flatMap(CardsFinding::darkness).map(CardScanFinding::squares).orElse(List.of());
    double side = OF_CELL * cell;
    double rim = (cell - side) / 2;
    for (int row = 0; row < g.rows(); row++) {
      for (int column = 0; column < g.columns(); column++) {
        double x = left(column) + rim;
        double y = lower(row + 1.0) + rim;
        int c = column;
        int r = row;
        Optional<String> tone =
            dark.stream()
                .filter(s -> s.column() == c && s.row() == r)
                .findFirst()
                .map(s -> "card-tone-" + tone(s.darkness().value()));
        on.rectangle(x, y, side, side, tone.isPresent() ? "card-bare" : "card-open");
        tone.ifPresent(look -> on.rectangle(x, y, side, side, look));
        if (row < grades.size() && column < grades.get(row).length()) {
          grade(on, grades.get(row).charAt(column), x, y, side);
        }
      }
    }
  }

  private static int tone(double darkness) {
    return Math.clamp(Math.round(darkness * TONES), 0, TONES);
  }

  /** Told by shape: a dash, a tick, a cross, a hole; a hole with a bar above or below. */
  private static void grade(Canvas on, char key, double x, double y, double side) {
    double mx = x + side / 2;
    double my = y + side / 2;
    double a = side * 0.28;
    Grade.of(key)
        .ifPresent(g -> {
          switch (g) {
            case TOO_LIGHT -> on.line(mx - a / 2, my, mx + a / 2, my, "mark-way");
            case GOOD -> {
              on.line(mx - a, my, mx - a / 3, my + a * 0.7, "photo-focus");
              on.line(mx - a / 3, my + a * 0.7, mx + a, my - a * 0.7, "photo-focus");
            }
            case SCORCHED -> {
              on.line(mx - a, my - a, mx + a, my + a, "field-error");
              on.line(mx - a, my + a, mx + a, my - a, "field-error");
            }
            case CUT_THROUGH -> on.circle(mx, my, a, "field-left");
            case FRONT_SCORCHED -> {
              on.circle(mx, my, a * 0.7, "field-left");
              on.line(mx - a, my - a, mx + a, my - a, "field-error");
            }
            case BACK_SCORCHED -> {
              on.circle(mx, my, a * 0.7, "field-left");
              on.line(mx - a, my + a, mx + a, my + a, "field-error");
            }
          }
        });
  }

  private static String number(double value) {
    return Text.words().language().written(Numbers.plain(value));
  }

  private void axes(Canvas on) {
    CardGrid g = grid.orElseThrow();
    int every = Math.max(1, (int) Math.ceil(g.columns() * 34.0 / (width - LEFT)));
    for (int i = 0; i < g.columns(); i += every) {
      on.words(number(across(g).get(i)), left(i + 0.5), bottom + 14, 60, "plan-side");
    }
    int everyRow = Math.max(1, (int) Math.ceil(16 / Math.max(1, cell)));
    for (int i = 0; i < g.rows(); i += everyRow) {
      on.words(number(up(g).get(i)), left(0) - 28, lower(i + 0.5), 54, "plan-side");
    }
    if (width > WIDE) {
      Message axes =
          Message.of(
              "cards.picture.axes",
              named(g.across(), "cards.picture.percent"),
              named(g.up(), "cards.picture.mm-a-second"));
      on.words(Text.of(axes), on.width() / 2, bottom + 30, width - 20, "plan-side");
    }
  }

  private static List<Double> across(CardGrid g) {
    return g.across().map(CardSteps::values).orElse(g.percents());
  }

  private static List<Double> up(CardGrid g) {
    return g.up().map(CardSteps::values).orElse(g.speedsMmS());
  }

  private static Message named(Optional<CardSteps> steps, String plain) {
    return steps.map(s -> Message.of(s.figure())).orElse(Message.of(plain));
  }

  /** The value of a setting on an axis. */
  private static double on(Optional<CardSteps> steps, Chosen c, double plain) {
    return steps.flatMap(s -> c.all().map(all -> all.get(s.figure()).orElse(plain))).orElse(plain);
  }

  /** Between the middles of columns, as a share of the way in logarithms. */
  private static double place(List<Double> steps, double value) {
    for (int i = 0; i + 1 < steps.size(); i++) {
      double a = steps.get(i);
      double b = steps.get(i + 1);
      if ((value - a) * (value - b) <= 0 && a != b) {
        return i + 0.5 + (value - a) / (b - a);
      }
    }
    return value <= steps.getFirst() == steps.getFirst() <= steps.getLast()
        ? 0.5
        : steps.size() - 0.5;
  }

  private void line(Canvas on, List<Setting> settings) {
    CardGrid g = grid.orElseThrow();
    List<double[]> points = new ArrayList<>();
    settings.stream()
        .sorted(Comparator.comparingDouble(Setting::speedMmS))
        .forEach(s ->
            points.add(
                new double[] {
                  left(place(g.percents(), s.percent())), lower(place(g.speedsMmS(), s.speedMmS()))
                }));
    // Every other piece: dashes of a line that is made of short ones.
    for (int i = 0; i + 1 < points.size(); i += 2) {
      on.line(
          points.get(i)[0],
          points.get(i)[1],
          points.get(i + 1)[0],
          points.get(i + 1)[1],
          "card-line");
    }
  }

  private void ring(Canvas on, Chosen c) {
    CardGrid g = grid.orElseThrow();
    on.circle(
        left(place(across(g), on(g.across(), c, c.percent()))),
        lower(place(up(g), on(g.up(), c, c.speedMmS()))),
        Math.max(6, 0.34 * cell),
        "card-ring");
  }
}
