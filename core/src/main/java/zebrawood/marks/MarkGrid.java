package zebrawood.marks;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.DoubleConsumer;
import java.util.function.ToDoubleBiFunction;
import java.util.stream.Collectors;
import zebrawood.marks.Lattice.Cell;
import zebrawood.marks.MarkCentre.Centre;
import zebrawood.marks.MarkShapes.Place;
import zebrawood.marks.PeerShape.Fit;
import zebrawood.measure.Picture;

/**
 * A grid of marks on a sheet, seen from straight above and turned by no more than ten degrees: the
 * places that have a mark's shape ({@link MarkShapes}) are joined to a net ({@link Lattice}), a
 * smooth map through the net, in which those far off it count nothing, tells where each mark must
 * be, and its middle is found there ({@link MarkCentre}). Marks are darker than the sheet, or
 * lighter: whichever the net explains better.
 */
public final class MarkGrid {
  /** A picture is looked at in blocks of this side at most: a burnt line is twice as wide. */
  private static final double BLOCK_MM = 0.1;

  private static final double LEAST_BLOCKS_A_PITCH = 60;

  /** A line or a dot is no wider. */
  private static final double LINE_MM = 0.9;

  private static final double DOT_MM = 2.2;

  /** What is looked for where nothing so narrow was found, in pitches. */
  private static final double WIDE_LINE = 0.12;

  private static final double WIDE_DOT = 0.55;

  private static final double OFF_THE_MAP = 0.12;
  private static final double ON_THE_MAP = 0.03;
  private static final double OF_PEERS = 0.3;
  private static final double OF_PEERS_ON_THE_MAP = 0.12;
  private static final int ROUNDS = 3;
  private static final double ENOUGH = 0.75;

  /** What a mark's middle is looked for in, in its own sizes. */
  private static final double ABOUT_CROSS = 3.1;

  private static final double ABOUT_DOT = 4.5;
  private static final double LEAST_ABOUT_PX = 14;

  private static final double MOST_OF_PITCH = 0.8;
  private static final double WIDE_CROSS = 2.6;
  private static final double WIDE_DOT_SEEN = 3;
  private static final double LEAST_SEEN = 0.35;

  private MarkGrid() {}

  /**
   * A mark.
   *
   * @param column and row from the lower left, from 0
   * @param uncertaintyPx one standard deviation of each coordinate
   */
  public record Mark(int column, int row, double xPx, double yPx, double uncertaintyPx) {}

  /**
   * @param columnsSeen and {@code rowsSeen}: how many there are, at most as many as asked for
   */
  public record Found(List<Mark> marks, int columnsSeen, int rowsSeen) {}

  /** One way to look at the picture. */
  private record Look(double widestMm, boolean lightOnDark) {}

  /** What one look came to. */
  private record Seen(Map<Cell, Place> marks, boolean lightOnDark) {
    /** What all its marks answer: ghosts are many and answer little. */
    double score() {
      return marks.values().stream().mapToDouble(Place::response).sum();
    }
  }

  /**
   * @param pitchPx from mark to mark, to a fifth
   * @param pxPerMm how many pixels a millimetre has
   * @param reached told how far it is, from 0 to 1
   */
  public static Found find(
      Picture picture,
      MarkKind kind,
      int columns,
      int rows,
      double pitchPx,
      double pxPerMm,
      DoubleConsumer reached) {
    double wideMm = (kind == MarkKind.CROSS ? WIDE_LINE : WIDE_DOT) * pitchPx / pxPerMm;
    double narrow = Math.min(wideMm, kind == MarkKind.CROSS ? LINE_MM : DOT_MM);
    List<Look> looks =
        List.of(
            new Look(narrow, false),
            new Look(narrow, true),
            new Look(wideMm, false),
            new Look(wideMm, true));
    Seen best = new Seen(Map.of(), false);
    int done = 0;
    for (Look look : looks) {
      Seen seen = look(picture, kind, columns, rows, pitchPx, pxPerMm, look);
      if (seen.score() > best.score()) {
        best = seen;
      }
      done++;
      reached.accept(0.8 * done / looks.size());
      // Between light marks dark ones seem to lie, and a large dot leaves bits along its rim to a
      // narrow look: crosses are decided between dark and light, dots when all looked.
      boolean asked = kind == MarkKind.CROSS && done % 2 == 0;
      if (asked && best.marks.size() >= ENOUGH * columns * rows) {
        break;
      }
    }
    if (best.marks.size() < 4) {
      return new Found(List.of(), 0, 0);
    }
    double size = median(best.marks.values().stream().mapToDouble(Place::sizePx).toArray());
    double about =
        Math.min(
            pitchPx,
            Math.max(LEAST_ABOUT_PX, (kind == MarkKind.CROSS ? ABOUT_CROSS : ABOUT_DOT) * size));
    Picture seenAs = best.lightOnDark ? new InvertedPicture(picture) : picture;
    double wide =
        Math.min(
            MOST_OF_PITCH * pitchPx, (kind == MarkKind.CROSS ? WIDE_CROSS : WIDE_DOT_SEEN) * size);
    List<Middle> middles =
        best.marks.entrySet().parallelStream()
            .map(e ->
                MarkCentre.of(seenAs, kind, e.getValue().x(), e.getValue().y(), about)
                    .map(c -> new Middle(e.getKey(), c)))
            .flatMap(Optional::stream)
            .toList();
    PeerShape peers = PeerShape.of(seenAs, middles.stream().map(Middle::centre).toList(), wide);
    List<Mark> marks = byPeers(peers, middles, columns, rows, pitchPx);
    reached.accept(1);
    return new Found(
        marks,
        seen(best.marks.keySet().stream().map(Cell::column).toList()),
        seen(best.marks.keySet().stream().map(Cell::row).toList()));
  }

  private static Seen look(
      Picture picture,
      MarkKind kind,
      int columns,
      int rows,
      double pitchPx,
      double pxPerMm,
      Look look) {
    int block =
        (int) Math.max(1, Math.floor(Math.min(BLOCK_MM * pxPerMm, pitchPx / LEAST_BLOCKS_A_PITCH)));
    int widest = (int) Math.max(2, Math.ceil(look.widestMm * pxPerMm / block));
    Ink ink = Ink.of(picture, block, widest, look.lightOnDark);
    List<Place> places = MarkShapes.of(ink, kind, pitchPx, columns * rows);
    Map<Cell, Place> net = Lattice.of(places, pitchPx, columns * rows).marks();
    if (net.size() < 4) {
      return new Seen(Map.of(), false);
    }
    Cell corner = corner(net, columns, rows);
    Map<Cell, Place> inside =
        net.entrySet().stream()
            .filter(e -> within(e.getKey(), corner, columns, rows))
            .collect(
                Collectors.toMap(
                    e ->
                        new Cell(
                            e.getKey().column() - corner.column(), e.getKey().row() - corner.row()),
                    Map.Entry::getValue));
    Map<Cell, Place> mapped = byMap(inside, places, columns, rows, pitchPx);
    return new Seen(mapped, look.lightOnDark);
  }

  static double median(double[] values) {
    Arrays.sort(values);
    return values[values.length / 2];
  }

  private static int seen(List<Integer> numbers) {
    return numbers.isEmpty()
        ? 0
        : numbers.stream().max(Integer::compare).get()
            - numbers.stream().min(Integer::compare).get()
            + 1;
  }

  /** A mark of the net, by its own ink alone. */
  private record Middle(Cell cell, Centre centre) {}

  /**
   * Each beside the shape that all have in common, so that what lies on one alone no longer moves
   * it. One that then lies off the map of all is looked for where the map has it, too.
   */
  private static List<Mark> byPeers(
      PeerShape peers, List<Middle> middles, int columns, int rows, double pitchPx) {
    Map<Cell, Fit> fits = new ConcurrentHashMap<>();
    middles.parallelStream()
        .forEach(m -> peers.fit(m.centre).ifPresent(fit -> fits.put(m.cell, fit)));
    if (fits.size() < 4) {
      return List.of();
    }
    Map<Cell, Place> places =
        fits.entrySet().stream()
            .collect(
                Collectors.toMap(
                    Map.Entry::getKey,
                    e -> new Place(e.getValue().x(), e.getValue().y(), e.getValue().seen(), 0)));
    Optional<SmoothNet> map = SmoothNet.robust(places, columns, rows, pitchPx);
    if (map.isEmpty()) {
      return List.of();
    }
    // The common shape has its middle where the marks have theirs on the whole.
    double aside = middle(middles, fits, (c, f) -> c.x() - f.x());
    double down = middle(middles, fits, (c, f) -> c.y() - f.y());
    List<Mark> marks = new ArrayList<>();
    for (Middle m : middles) {
      Optional<Fit> fit = Optional.ofNullable(fits.get(m.cell)).filter(f -> f.seen() >= LEAST_SEEN);
      double[] there = map.get().at(m.cell);
      if (fit.isEmpty() || off(fit.get(), there) > ON_THE_MAP * pitchPx) {
        fit =
            peers
                .fit(new Centre(there[0], there[1]))
                .filter(f -> f.seen() >= LEAST_SEEN && off(f, there) <= ON_THE_MAP * pitchPx)
                .or(() -> Optional.ofNullable(fits.get(m.cell)));
      }
      fit.filter(f -> f.seen() >= LEAST_SEEN)
          .ifPresent(f ->
              marks.add(
                  new Mark(
                      m.cell.column(),
                      m.cell.row(),
                      f.x() + aside,
                      f.y() + down,
                      f.uncertaintyPx())));
    }
    marks.sort(Comparator.comparingInt(Mark::row).thenComparingInt(Mark::column));
    return marks;
  }

  private static double middle(
      List<Middle> middles, Map<Cell, Fit> fits, ToDoubleBiFunction<Centre, Fit> off) {
    return median(
        middles.stream()
            .filter(m -> fits.containsKey(m.cell))
            .mapToDouble(m -> off.applyAsDouble(m.centre, fits.get(m.cell)))
            .toArray());
  }

  private static double off(Fit fit, double[] there) {
    return Math.hypot(fit.x() - there[0], fit.y() - there[1]);
  }

  private static boolean within(Cell cell, Cell corner, int columns, int rows) {
    int column = cell.column() - corner.column();
    int row = cell.row() - corner.row();
    return column >= 0 && column < columns && row >= 0 && row < rows;
  }

  /** The lower left of the window of the net whose marks answer most. */
  private static Cell corner(Map<Cell, Place> net, int columns, int rows) {
    int left = net.keySet().stream().mapToInt(Cell::column).min().orElseThrow();
    int right = net.keySet().stream().mapToInt(Cell::column).max().orElseThrow();
    int low = net.keySet().stream().mapToInt(Cell::row).min().orElseThrow();
    int high = net.keySet().stream().mapToInt(Cell::row).max().orElseThrow();
    Cell best = new Cell(left, low);
    double most = -1;
    for (int c = left; c <= Math.max(left, right - columns + 1); c++) {
      for (int r = low; r <= Math.max(low, high - rows + 1); r++) {
        Cell corner = new Cell(c, r);
        double inside =
            net.entrySet().stream()
                .filter(e -> within(e.getKey(), corner, columns, rows))
                .mapToDouble(e -> e.getValue().response())
                .sum();
        if (inside > most) {
          most = inside;
          best = corner;
        }
      }
    }
    return best;
  }

  /**
   * Each mark is the strongest place near where the smooth map of all has it; a faint one only
   * where it lies on the map. None where they lie on one line.
   */
  private static Map<Cell, Place> byMap(
      Map<Cell, Place> net, List<Place> places, int columns, int rows, double pitchPx) {
    Map<Cell, Place> now = net;
    PlaceIndex index = PlaceIndex.of(places, OFF_THE_MAP * pitchPx);
    for (int round = 0; round < ROUNDS; round++) {
      Optional<SmoothNet> map = SmoothNet.robust(now, columns, rows, pitchPx);
      if (map.isEmpty()) {
        return Map.of();
      }
      double peers = median(now.values().stream().mapToDouble(Place::response).toArray());
      Map<Cell, Place> next = new HashMap<>();
      for (int row = 0; row < rows; row++) {
        for (int column = 0; column < columns; column++) {
          Cell cell = new Cell(column, row);
          double[] at = map.get().at(cell);
          index.within(at[0], at[1], OFF_THE_MAP * pitchPx).stream()
              .filter(p -> mayBe(p, Math.hypot(p.x() - at[0], p.y() - at[1]) / pitchPx, peers))
              .max(Comparator.comparingDouble(Place::response))
              .ifPresent(p -> next.put(cell, p));
        }
      }
      if (next.size() < 4 || next.equals(now)) {
        return next.size() < 4 ? now : next;
      }
      now = next;
    }
    return now;
  }

  private static boolean mayBe(Place p, double off, double peers) {
    return p.response() >= OF_PEERS * peers
        || off < ON_THE_MAP && p.response() >= OF_PEERS_ON_THE_MAP * peers;
  }
}
