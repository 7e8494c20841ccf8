package zebrawood.devices.whole;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Stream;
import zebrawood.words.Message;

/**
 * How a case begins.
 *
 * @param says what the customer says
 * @param counts what must be within its limit and proven at the hand-over
 * @param hidden by how much what is off
 * @param inOrder the guards that are in order
 * @param asLeft whether a list of the settings as they were left is at hand
 */
public record CaseStart(
    WholeKind kind,
    Message says,
    Set<Trait> counts,
    Map<Trait, Double> hidden,
    Set<Guard> inOrder,
    boolean asLeft,
    long seed) {
  private static final double OFF_LEAST = 2;
  private static final double OFF_MORE = 4;

  public CaseStart {
    counts = Set.copyOf(counts);
    hidden = Map.copyOf(hidden);
    inOrder = Set.copyOf(inOrder);
  }

  /** The same number gives the same case. */
  public static CaseStart of(CaseKind kind, long seed) {
    // Of numbers that follow one another Random alone draws first what is nearly the same.
    Random random = new Random(new SplittableRandom(31 * seed + kind.ordinal()).nextLong());
    WholeKind machine = kind.kinds().get(random.nextInt(kind.kinds().size()));
    Map<Trait, Double> hidden = new EnumMap<>(Trait.class);
    Set<Trait> counts = EnumSet.noneOf(Trait.class);
    Set<Guard> inOrder = EnumSet.noneOf(Guard.class);
    Stream.of(Guard.values())
        .filter(g -> g.isOf(machine))
        .filter(g ->
            g == Guard.MAINS_ON
                || g == Guard.LID_SWITCH_WORKS && random.nextInt(6) > 0
                || g != Guard.LID_SWITCH_WORKS && random.nextBoolean())
        .forEach(inOrder::add);
    List<Trait> all = List.copyOf(Trait.of(machine));
    switch (kind) {
      case COMMISSION -> {
        counts.addAll(all);
        counts.remove(Trait.TUBE_WEAK);
        for (Trait t : all) {
          if (t != Trait.TUBE_WEAK && random.nextInt(5) < 3) {
            hidden.put(t, off(t, random));
          }
        }
      }
      case TUBE_REPLACED ->
          put(hidden, counts, machine, random, Trait.MIRROR_1, Trait.MIRROR_2, Trait.HEAD);
      case MOVED_ACROSS_THE_ROOM -> {
        put(hidden, counts, machine, random, Trait.BED_X, Trait.BED_Y, Trait.SQUARENESS);
        put(hidden, counts, machine, random, Trait.MIRROR_1, Trait.FOCUS);
        inOrder.remove(Guard.EXHAUST_ON);
      }
      case PALE_AT_THE_REAR -> {
        counts.addAll(Set.of(Trait.BED_Y, Trait.BED_X, Trait.FOCUS));
        if (machine == WholeKind.GLASS_TUBE_GANTRY) {
          counts.addAll(Set.of(Trait.MIRROR_1, Trait.MIRROR_2));
        }
        boolean mirror = machine == WholeKind.GLASS_TUBE_GANTRY && random.nextBoolean();
        hidden.put(mirror ? Trait.MIRROR_1 : Trait.BED_Y, mirror ? 9 + 4 * random.nextDouble() : 5);
      }
      case WORKED_ON_TUESDAY -> {
        List<Trait> sudden =
            Stream.of(Trait.COOLANT_WARM, Trait.LENS_DIRT, Trait.FOCUS, Trait.LASER_MODE, Trait.GAS)
                .filter(t -> t.isOf(machine))
                .toList();
        counts.addAll(sudden);
        Trait one = sudden.get(random.nextInt(sudden.size()));
        hidden.put(one, off(one, random));
      }
      case LENS_CHANGED -> {
        put(hidden, counts, machine, random, Trait.FOCUS, Trait.CAMERA_X, Trait.CAMERA_Y);
        put(hidden, counts, machine, random, Trait.FIELD_SCALE);
      }
      case CAMERA_LID -> put(hidden, counts, machine, random, Trait.CAMERA_X, Trait.CAMERA_Y);
      case OTHER_WORKSHOPS_SETTINGS ->
          put(hidden, counts, machine, random, Trait.TOP_WORD, Trait.SCALE_X, Trait.SCALE_Y);
      case FIRMWARE_RESET -> {
        put(hidden, counts, machine, random, Trait.TOP_WORD, Trait.SCALE_X, Trait.SCALE_Y);
        put(hidden, counts, machine, random, Trait.LASER_MODE);
      }
      case THREE_FAULTS -> {
        counts.addAll(all);
        counts.remove(Trait.TUBE_WEAK);
        List<Trait> possible = counts.stream().sorted().toList();
        while (hidden.size() < 3) {
          Trait one = possible.get(random.nextInt(possible.size()));
          hidden.putIfAbsent(one, off(one, random));
        }
      }
    }
    return new CaseStart(
        machine,
        Message.of("whole.says." + kind.id()),
        counts,
        hidden,
        inOrder,
        kind == CaseKind.FIRMWARE_RESET,
        seed);
  }

  private static void put(
      Map<Trait, Double> hidden,
      Set<Trait> counts,
      WholeKind machine,
      Random random,
      Trait... traits) {
    for (Trait t : traits) {
      if (t.isOf(machine)) {
        hidden.put(t, off(t, random));
        counts.add(t);
      }
    }
  }

  /** Two to six times its limit; dirt, warmth and what was switched to one side alone. */
  private static double off(Trait trait, Random random) {
    double much = trait.limit() * (OFF_LEAST + OFF_MORE * random.nextDouble());
    return switch (trait) {
      case COOLANT_WARM, LENS_DIRT, MIRROR_DIRT, TUBE_WEAK -> Math.min(60, much);
      case LASER_MODE -> 1;
      case TOP_WORD -> random.nextBoolean() ? -74.5 : 20;
      case GAS -> -Math.min(60, much);
      default -> random.nextBoolean() ? much : -much;
    };
  }

  /** The machine as it stands at the beginning. */
  WholeMachine machine() {
    WholeMachine made = new WholeMachine(kind);
    hidden.forEach(made::set);
    inOrder.forEach(g -> made.set(g, true));
    return made;
  }
}
