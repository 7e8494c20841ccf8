package zebrawood.machine;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import zebrawood.measure.Accepts;
import zebrawood.quantity.Amount;
import zebrawood.quantity.Quantity;
import zebrawood.words.Message;

/**
 * One machine as its data sheet describes it.
 *
 * @param id never changes, so that records from two laptops meet again
 * @param areaXMm travel to the right, or the field of a galvo head
 * @param areaYMm travel to the rear, or the field of a galvo head
 * @param bedSupport what the bed is levelled with; a galvo head is always shimmed
 * @param levelToleranceMm largest allowed difference of height over the bed, from the data sheet
 * @param fittings what it has; empty while nobody said so, then what is usual counts
 * @param startUp its parts in the order they are switched on; empty while nobody said so
 * @param lenses that belong to it; empty while nobody said so
 * @param train its steering mirrors; empty while nobody said so, then the usual two count
 * @param identity what tells it from others of its kind; empty while nobody said so
 * @param trial of a simulated machine; empty for a real one
 * @param cooling what cools its source; empty while nobody said so, then what is usual counts
 * @param moves what goes up and down; empty while nobody said so
 * @param ownLines what else is asked before every run, in its owner's words
 */
public record Machine(
    String id,
    String name,
    Build build,
    Source source,
    double areaXMm,
    double areaYMm,
    BedSupport bedSupport,
    double levelToleranceMm,
    Optional<List<Fitting>> fittings,
    Optional<List<String>> startUp,
    Optional<List<Lens>> lenses,
    Optional<Train> train,
    Optional<Identity> identity,
    Optional<Trial> trial,
    Optional<CooledBy> cooling,
    Optional<Moves> moves,
    Optional<List<String>> ownLines) {

  /** Longer names would not fit the sheet they are printed on. */
  private static final int LONGEST_NAME = 60;

  private static final int MOST_TO_SWITCH_ON = 12;
  private static final int MOST_LENSES = 12;

  /** A card with more of them is not read. */
  public static final int MOST_OWN_LINES = 8;

  public static final int LONGEST_LINE = 120;

  public Machine {
    fittings = fittings.map(f -> f.stream().distinct().sorted().toList());
    startUp = startUp.map(List::copyOf);
    lenses = lenses.map(List::copyOf);
    ownLines = ownLines.map(List::copyOf);
    var accepts = new Accepts().filled("id", id).filled("name", name);
    if (name != null && name.length() > LONGEST_NAME) {
      accepts.complain(
          "name",
          Message.of("machine.accepts.letters", name.length()),
          Message.of("machine.accepts.most-letters", LONGEST_NAME));
    }
    accepts
        .between("areaXMm", areaXMm, 10, 10_000)
        .between("areaYMm", areaYMm, 10, 10_000)
        .positive("levelToleranceMm", levelToleranceMm, 20);
    startUp.ifPresent(order -> {
      if (order.isEmpty() || order.size() > MOST_TO_SWITCH_ON) {
        accepts.complain(
            "startUp",
            Message.of("accepts.of-them", order.size()),
            Accepts.between(1, MOST_TO_SWITCH_ON));
      }
      if (order.stream().anyMatch(w -> w.isBlank() || w.length() > LONGEST_NAME)) {
        accepts.complain(
            "startUp",
            Message.of("machine.accepts.nameless"),
            Message.of("machine.accepts.most-letters", LONGEST_NAME));
      }
    });
    ownLines
        .filter(l ->
            l.size() > MOST_OWN_LINES
                || l.stream().anyMatch(w -> w.isBlank() || w.length() > LONGEST_LINE))
        .ifPresent(l ->
            accepts.complain(
                "ownLines",
                Message.of("accepts.of-them", l.size()),
                Message.of("machine.accepts.own-lines", MOST_OWN_LINES, LONGEST_LINE)));
    lenses
        .filter(l -> l.size() > MOST_LENSES)
        .ifPresent(l ->
            accepts.complain(
                "lenses",
                Message.of("accepts.of-them", l.size()),
                Message.of("machine.accepts.most", MOST_LENSES)));
    accepts.orThrow();
  }

  /** A machine with what is usual for its build. */
  public Machine(
      String id,
      String name,
      Build build,
      Source source,
      double areaXMm,
      double areaYMm,
      BedSupport bedSupport,
      double levelToleranceMm) {
    this(
        id,
        name,
        build,
        source,
        areaXMm,
        areaYMm,
        bedSupport,
        levelToleranceMm,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Optional.empty());
  }

  public Machine withFittings(List<Fitting> its) {
    return with(Optional.of(its), lenses, train, trial);
  }

  public Machine withLenses(List<Lens> its) {
    return with(fittings, Optional.of(its), train, trial);
  }

  public Machine withTrain(Train its) {
    return with(fittings, lenses, Optional.of(its), trial);
  }

  public Machine withTrial(Trial its) {
    return with(fittings, lenses, train, Optional.of(its));
  }

  /** What its lenses are called: by their names, else by what is engraved on them. */
  public List<String> lensNames() {
    return lenses.orElse(List.of()).stream().map(Lens::called).distinct().toList();
  }

  public boolean removed() {
    return trial.equals(Optional.of(Trial.REMOVED));
  }

  /** Whether it is simulated. */
  public boolean simulated() {
    return trial.isPresent();
  }

  private Machine with(
      Optional<List<Fitting>> itsFittings,
      Optional<List<Lens>> itsLenses,
      Optional<Train> itsTrain,
      Optional<Trial> itsTrial) {
    return new Machine(
        id,
        name,
        build,
        source,
        areaXMm,
        areaYMm,
        bedSupport,
        levelToleranceMm,
        itsFittings,
        startUp,
        itsLenses,
        itsTrain,
        identity,
        itsTrial,
        cooling,
        moves,
        ownLines);
  }

  /** Its steering mirrors as far as anybody said, else the usual two. */
  public Train mirrorTrain() {
    return train.orElse(Train.USUAL);
  }

  /** What it has fitted, in the order of {@link Fitting}. */
  public List<Fitting> fitted() {
    return fittings.orElseGet(() -> Fitting.usual(build, source.kind()));
  }

  public boolean has(Fitting fitting) {
    return fitting == Fitting.CHILLER && cooling.isPresent()
        ? cooling.get() == CooledBy.CHILLER
        : fitted().contains(fitting);
  }

  /** Its parts in the order they are switched on. */
  public List<Message> startUpOrder() {
    return startUp
        .map(parts -> parts.stream().map(Message::verbatim).toList())
        .orElseGet(this::usualOrder);
  }

  private List<Message> usualOrder() {
    List<Message> order = new ArrayList<>();
    if (cooledByWater()) {
      // What is inside of the machine is switched on with it.
      if (!cooling.equals(Optional.of(CooledBy.OWN_LOOP))) {
        order.add(Message.of(has(Fitting.CHILLER) ? "machine.part.chiller" : "machine.part.pump"));
      }
    }
    if (has(Fitting.EXHAUST)) {
      order.add(Message.of("machine.part.exhaust"));
    }
    order.add(Message.of("machine.part.machine"));
    order.add(Message.of("machine.part.computer"));
    return order;
  }

  public boolean cooledByWater() {
    return cooling
        .map(c -> c != CooledBy.AIR)
        .orElseGet(() -> source.kind().cooledByWater() || build == Build.FIBRE_CUTTING_HEAD);
  }

  /** Whether a switched lid or door keeps people from the beam. */
  public boolean enclosed() {
    return has(Fitting.LID_SWITCH);
  }

  /**
   * Source and size in one line, such as "CO₂ glass tube 90 W · gantry with mirrors"; a simulated
   * machine says so first.
   */
  public Message inOneLine() {
    Message line = kindAndSize();
    return simulated() ? Message.of("machine.one-line.simulated", line) : line;
  }

  private Message kindAndSize() {
    return Message.of(
        "machine.one-line",
        source.kind(),
        Amount.plain(source.watts(), Quantity.POWER),
        build,
        Message.bare(Amount.plain(areaXMm, Quantity.LENGTH)),
        Amount.plain(areaYMm, Quantity.LENGTH),
        wavelength());
  }

  /** Wavelength as printed on eyewear: in nm, thousands set apart. */
  public Message wavelength() {
    long nm = Math.round(source.wavelengthNm());
    return nm >= 10_000
        ? Message.of(
            "machine.wavelength.thousands",
            nm / 1000,
            Message.verbatim(String.format(Locale.ROOT, "%03d", nm % 1000)))
        : Message.of("machine.wavelength", nm);
  }

  /** What everybody in the room must know whenever this machine is on. */
  public Message standingCaution() {
    return Message.of(
        enclosed() ? "machine.caution.enclosed" : "machine.caution.open", wavelength());
  }
}
