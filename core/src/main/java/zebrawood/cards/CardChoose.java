package zebrawood.cards;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.cards.CardChooseFinding.MaybeSetting;
import zebrawood.cards.CardChooseFinding.Setting;
import zebrawood.measure.Resolution;
import zebrawood.measure.Verdict;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Advice;
import zebrawood.words.Message;

/**
 * Which settings give a wanted darkness on this stock?
 *
 * <p>The squares become a surface ({@link DarknessSurface}); the settings lie along its line of the
 * wanted darkness. Only between squares that bear it out: one of no less power and no more speed
 * came out at least so dark, one of no more power and no less speed no darker. Squares that are
 * charred ({@link Charring}) count as at least so dark and as nothing else.
 */
public final class CardChoose {
  /** Along the line, before those that no square bears out are left out. */
  private static final int ALONG = 160;

  private static final int MOST_SETTINGS = 40;
  private static final int ROUNDS = 30;

  /** Of darkness: nobody sees less. */
  private static final double NEAR = 1e-6;

  /** A power word and a speed are this true on most machines. */
  private static final double OFF = 0.03;

  private final CardChooseReadings r;
  private final DarknessSurface surface;
  private final boolean[] charred;
  private final double leastP;
  private final double mostP;
  private final double leastV;
  private final double mostV;

  private CardChoose(CardChooseReadings r) {
    this.r = r;
    double error = Resolution.standardDeviation(r.darknessResolution());
    surface = DarknessSurface.of(r.squares(), List.of(), error);
    charred = Charring.of(r.squares(), Math.max(error, surface.noise()));
    leastP = r.squares().stream().mapToDouble(CardSample::percent).min().orElseThrow();
    mostP = r.squares().stream().mapToDouble(CardSample::percent).max().orElseThrow();
    leastV = r.squares().stream().mapToDouble(CardSample::speedMmS).min().orElseThrow();
    mostV = r.squares().stream().mapToDouble(CardSample::speedMmS).max().orElseThrow();
  }

  public static CardChooseFinding solve(CardChooseReadings r) {
    return new CardChoose(r).found();
  }

  private CardChooseFinding found() {
    List<Setting> settings = settings();
    List<Message> warnings = new ArrayList<>();
    int burnt = 0;
    for (boolean c : charred) {
      burnt += c ? 1 : 0;
    }
    if (burnt > 0) {
      warnings.add(Message.of("cards.choose.charred", burnt));
    }
    if (settings.isEmpty()) {
      return new CardChooseFinding(
          List.of(),
          new MaybeSetting(Optional.empty()),
          new MaybeSetting(Optional.empty()),
          Verdict.MEASURE_AGAIN,
          List.of(more()),
          warnings);
    }
    Setting fastest = settings.getLast();
    Setting steadiest =
        settings.stream().min(Comparator.comparingDouble(this::change)).orElseThrow();
    return new CardChooseFinding(
        settings,
        new MaybeSetting(Optional.of(fastest)),
        new MaybeSetting(Optional.of(steadiest)),
        Verdict.WITHIN,
        advice(fastest, steadiest),
        warnings);
  }

  /** The steadiest is told where it is another one. */
  private List<Advice> advice(Setting fastest, Setting steadiest) {
    List<Advice> advice = new ArrayList<>();
    advice.add(
        Advice.leave("cards.choose.set", percent(fastest), speed(fastest))
            .because(
                "cards.choose.set.why",
                Amount.of(fastest.darkness().value(), Quantity.NUMBER, 3),
                Amount.of(fastest.darkness().uncertainty(), Quantity.NUMBER, 3)));
    if (!steadiest.equals(fastest)) {
      advice.add(
          Advice.leave("cards.choose.steadier", percent(steadiest), speed(steadiest))
              .because(
                  "cards.choose.steadier.why", Amount.of(change(steadiest), Quantity.NUMBER, 3)));
    }
    return advice;
  }

  private static Amount percent(Setting s) {
    return Amount.of(s.percent(), Quantity.PERCENT, s.percent() < 10 ? 1 : 0);
  }

  private static Amount speed(Setting s) {
    return Amount.of(s.speedMmS(), Quantity.SPEED, s.speedMmS() < 20 ? 1 : 0);
  }

  /** Largest change of darkness where both are a little off. */
  private double change(Setting s) {
    double here = surface.darkness(s.percent(), s.speedMmS());
    double most = 0;
    for (double p : new double[] {1 - OFF, 1 + OFF}) {
      for (double v : new double[] {1 - OFF, 1 + OFF}) {
        most = Math.max(most, Math.abs(surface.darkness(s.percent() * p, s.speedMmS() * v) - here));
      }
    }
    return most;
  }

  private List<Setting> settings() {
    List<double[]> along = along(0, 2);
    if (!along.isEmpty() && along.size() < MOST_SETTINGS) {
      // A short line: once more between where it begins and ends.
      double step = 2.0 / ALONG;
      along =
          along(Math.max(0, along.getFirst()[2] - step), Math.min(2, along.getLast()[2] + step));
    }
    int count = Math.min(MOST_SETTINGS, along.size());
    List<Setting> all = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      int at = count == 1 ? 0 : (int) Math.round((double) i * (along.size() - 1) / (count - 1));
      double[] s = along.get(at);
      all.add(new Setting(s[1], s[0], surface.at(s[0], s[1])));
    }
    all.sort(Comparator.comparingDouble(Setting::speedMmS));
    return all;
  }

  /**
   * Along the wanted darkness: power, speed, and where on the card, from its slow gentle corner (0)
   * to its fast strong one (2).
   */
  private List<double[]> along(double from, double to) {
    List<double[]> along = new ArrayList<>();
    for (int i = 0; i <= ALONG; i++) {
      double c = from + (to - from) * i / ALONG;
      crossing(c)
          .ifPresent(k -> {
            double percent = percentAt(c / 2 + k);
            double speed = speedAt(c / 2 - k);
            if (borneOut(percent, speed)) {
              along.add(new double[] {percent, speed, c});
            }
          });
    }
    return along;
  }

  /** From 0 at the least to 1 at the most power of the card, in logarithms. */
  private double percentAt(double share) {
    return Math.clamp(leastP * Math.pow(mostP / leastP, share), leastP, mostP);
  }

  private double speedAt(double share) {
    return Math.clamp(leastV * Math.pow(mostV / leastV, share), leastV, mostV);
  }

  /** Where power goes up as speed goes down, the wanted darkness is passed once. */
  private OptionalDouble crossing(double c) {
    double reach = Math.min(c, 2 - c) / 2;
    double gentle = -reach;
    double harsh = reach;
    double below = darkness(c, gentle) - r.wantedDarkness();
    double above = darkness(c, harsh) - r.wantedDarkness();
    if (below > 0 || above < 0) {
      return OptionalDouble.empty();
    }
    double at = gentle;
    for (int i = 0; i < ROUNDS && above > below; i++) {
      // By the straight line between both ends, and by the middle every third time.
      double share = i % 3 == 2 ? 0.5 : below / (below - above);
      at = gentle + share * (harsh - gentle);
      double off = darkness(c, at) - r.wantedDarkness();
      if (Math.abs(off) < NEAR) {
        break;
      }
      if (off < 0) {
        gentle = at;
        below = off;
      } else {
        harsh = at;
        above = off;
      }
    }
    return OptionalDouble.of(at);
  }

  private double darkness(double c, double k) {
    return surface.darkness(percentAt(c / 2 + k), speedAt(c / 2 - k));
  }

  private boolean borneOut(double percent, double speedMmS) {
    boolean asDark = false;
    boolean noDarker = false;
    for (int i = 0; i < charred.length; i++) {
      CardSample s = r.squares().get(i);
      asDark |=
          s.percent() >= percent && s.speedMmS() <= speedMmS && s.darkness() >= r.wantedDarkness();
      noDarker |=
          !charred[i]
              && s.percent() <= percent
              && s.speedMmS() >= speedMmS
              && s.darkness() <= r.wantedDarkness();
    }
    return asDark && noDarker;
  }

  private Advice more() {
    boolean lighter = r.squares().stream().noneMatch(s -> s.darkness() >= r.wantedDarkness());
    boolean darker = r.squares().stream().noneMatch(s -> s.darkness() <= r.wantedDarkness());
    String key =
        lighter ? "cards.choose.harsher" : darker ? "cards.choose.gentler" : "cards.choose.between";
    return lighter
        ? Advice.read(key, Amount.of(leastV / 1.5, Quantity.SPEED, 0))
            .because("cards.choose.harsher.why", Amount.of(mostP, Quantity.PERCENT, 0))
        : darker
            ? Advice.read(key, Amount.of(mostV * 1.5, Quantity.SPEED, 0))
                .because("cards.choose.gentler.why", Amount.of(leastP, Quantity.PERCENT, 0))
            : Advice.read(key);
  }
}
