package zebrawood.records.workshop;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import zebrawood.ledger.Ledger;
import zebrawood.ledger.Recorded;
import zebrawood.ledger.Station;
import zebrawood.machine.Machine;

/**
 * Quick looks at many machines, and searches. What is kept for them is made from the record and can
 * be made again at any time. Safe to be called from any thread, as the workshop is.
 */
public final class AtHand {
  private static final Logger LOG = LoggerFactory.getLogger(AtHand.class);
  private final Workshop workshop;
  private final EntryTable entries;
  private final EventTable events;
  private final TellingTable telling;
  private final WordTable words;

  AtHand(Workshop workshop, Sql sql, EntryTable entries, EventTable events) {
    this.workshop = workshop;
    this.entries = entries;
    this.events = events;
    telling = new TellingTable(sql, entries, events);
    words = new WordTable(sql, entries, events);
  }

  /** How a machine stands, for a look at many: entries without their readings and findings. */
  public Ledger glance(Machine machine, List<Station> stations) {
    synchronized (workshop) {
      Map<String, Instant> ahead = workshop.foundAhead();
      return telling
          .ledger(machine, stations, ahead)
          .orElseGet(() -> {
            Ledger whole = new Ledger(machine, outlines(machine.id()), ahead);
            keepingAtHand(() -> telling.keep(whole, stations));
            return whole;
          });
    }
  }

  private List<Recorded> outlines(String machineId) {
    return TellingTable.inOrder(entries.outlines(machineId), events.of(machineId)).stream()
        .map(Written::line)
        .toList();
  }

  /** Whole entries of one station, oldest first, those that no longer count too. */
  public List<Recorded> at(String machineId, Station station) {
    synchronized (workshop) {
      return entries.at(machineId, station.id()).stream().map(Written::line).toList();
    }
  }

  /** What is only at hand to be quick: where it cannot be kept, it is made again. */
  private void keepingAtHand(Runnable changes) {
    if (!workshop.isDamaged()) {
      try {
        workshop.inTransaction(changes);
      } catch (Sql.Refused e) {
        LOG.warn("not kept at hand: {}", workshop.file(), e);
      }
    }
  }

  /**
   * Makes a machine's lines ready to be searched.
   *
   * @param saidAs changes where lines are said otherwise than before, as in another language
   * @param said a line as a person reads it, without its machine's name
   * @return whether any of them were not yet
   */
  public boolean learnWords(String machineId, String saidAs, Function<Recorded, String> said) {
    synchronized (workshop) {
      boolean[] more = {false};
      keepingAtHand(() -> more[0] = words.add(machineId, saidAs, said));
      return more[0];
    }
  }

  /**
   * Lines of any machine that have all of these words, the newest first.
   *
   * @param wanted by a person
   * @param said a line as a person reads it, without its machine's name
   */
  public List<Hit> search(String wanted, int most, Function<Recorded, String> said) {
    List<String> all = Search.wanted(wanted);
    if (all.isEmpty()) {
      return List.of();
    }
    synchronized (workshop) {
      List<Machine> machines = workshop.machines().readable();
      Search search = new Search(machines, said, most);
      boolean known = machines.stream().allMatch(m -> words.knows(m.id()));
      List<Hit> hits = known ? search.known(all, words) : search.read(all, this::outlines);
      // What was typed for an entry is far larger than all else: it is read where nothing else is.
      return hits.isEmpty() ? search.read(all, workshop::read) : hits;
    }
  }
}
