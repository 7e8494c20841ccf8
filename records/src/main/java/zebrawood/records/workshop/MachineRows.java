package zebrawood.records.workshop;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;
import zebrawood.measure.UnusableReading;
import zebrawood.records.file.Sha256;
import zebrawood.records.workshop.PassportRow.AttachmentRow;
import zebrawood.records.workshop.PassportRow.Description;
import zebrawood.records.workshop.PassportRow.EntryRow;
import zebrawood.records.workshop.PassportRow.EventRow;
import zebrawood.records.workshop.PassportRow.PaperRow;
import zebrawood.words.Message;

/**
 * One machine's rows, out of the file and into it. What comes in is a union: a row that is there
 * already is passed over; one of the same id that says something else is refused. Lines come to
 * stand between those that are there: the order of each file is kept, and of two lines that only
 * one file has, the one written down first comes first. Two files that took each other's rows
 * therefore have the same order.
 */
final class MachineRows {
  private final Sql sql;
  private final String machineId;
  private final AttachmentTable attachments;
  private Consumer<Chain.Of> onAdded = kind -> {};

  MachineRows(Sql sql, String machineId) {
    this.sql = sql;
    this.machineId = machineId;
    attachments = new AttachmentTable(sql);
  }

  /** A line with its place. */
  private record Placed(double order, PassportRow row) {
    String id() {
      return row.lineId().orElseThrow();
    }
  }

  /** All rows: descriptions, then lines in the order of writing, each entry with its paper. */
  void forEach(Consumer<PassportRow> to) {
    descriptions().forEach(d -> to.accept(PassportRow.of(d)));
    for (Placed line : lines()) {
      to.accept(line.row);
      line.row.entry().flatMap(e -> paper(e.id())).ifPresent(p -> to.accept(PassportRow.of(p)));
    }
    for (Attachment attached : attachments.of(machineId)) {
      to.accept(PassportRow.of(row(attached)));
    }
  }

  private AttachmentRow row(Attachment attached) {
    return new AttachmentRow(
        attached.id(),
        attached.lineId(),
        attached.name(),
        attached.sha256(),
        attached.recordedAt().toString(),
        attached.by(),
        Base64.getEncoder().encodeToString(attachments.bytes(attached)),
        Workshop.SCHEMA);
  }

  private List<Description> descriptions() {
    return sql.list(
        "SELECT * FROM machine WHERE id = ? ORDER BY recorded_at, body",
        row ->
            new Description(
                row.getString("recorded_at"),
                row.getString("recorded_by"),
                row.getString("body"),
                row.getInt("version")),
        machineId);
  }

  private List<Placed> lines() {
    List<Placed> entries =
        sql.list(
            "SELECT * FROM entry WHERE machine_id = ?",
            row -> new Placed(row.getDouble("ord"), PassportRow.of(entry(row))),
            machineId);
    List<Placed> events =
        sql.list(
            "SELECT * FROM event WHERE machine_id = ?",
            row -> new Placed(row.getDouble("ord"), PassportRow.of(event(row))),
            machineId);
    return Stream.concat(entries.stream(), events.stream())
        .sorted(Comparator.comparingDouble(Placed::order).thenComparing(Placed::id))
        .toList();
  }

  private static EntryRow entry(ResultSet row) throws SQLException {
    return new EntryRow(
        row.getString("id"),
        row.getString("station"),
        Optional.ofNullable(row.getString("subject")),
        row.getString("kind"),
        row.getString("at"),
        row.getString("recorded_at"),
        row.getString("recorded_by"),
        row.getString("because"),
        row.getString("readings"),
        row.getString("finding"),
        row.getString("verdict"),
        row.getString("figures"),
        Optional.ofNullable(row.getString("replaces")),
        row.getInt("version"));
  }

  private static EventRow event(ResultSet row) throws SQLException {
    return new EventRow(
        row.getString("id"),
        row.getString("kind"),
        row.getString("at"),
        row.getString("recorded_at"),
        row.getString("recorded_by"),
        row.getString("note"),
        Optional.ofNullable(row.getString("details")),
        Optional.ofNullable(row.getString("replaces")),
        row.getInt("version"));
  }

  private Optional<PaperRow> paper(String entryId) {
    return sql
        .list(
            "SELECT * FROM entry_paper WHERE entry_id = ?",
            row -> new PaperRow(entryId, row.getString("body"), row.getInt("version")),
            entryId)
        .stream()
        .findFirst();
  }

  /**
   * Takes rows in; only within a transaction.
   *
   * @param rows in the order in which they were written out
   * @param added runs behind each row that is added
   * @throws UnusableReading where a row of the same id says something else
   */
  Merged merge(List<PassportRow> rows, Consumer<Chain.Of> added) {
    onAdded = added;
    List<Description> known = descriptions();
    List<Description> come = rows.stream().flatMap(r -> r.machine().stream()).distinct().toList();
    List<Description> newer = come.stream().filter(d -> !known.contains(d)).toList();
    newer.forEach(this::add);
    int lines = placeLines(rows);
    for (PassportRow row : rows) {
      row.paper().filter(p -> paper(p.entryId()).isEmpty()).ifPresent(this::add);
    }
    addAttachments(rows);
    long all = rows.stream().filter(r -> r.lineId().isPresent()).count();
    boolean bothChanged = !newer.isEmpty() && known.stream().anyMatch(d -> !come.contains(d));
    return new Merged(lines, (int) all - lines, newer.size(), bothChanged);
  }

  private void addAttachments(List<PassportRow> rows) {
    Set<String> known =
        attachments.of(machineId).stream().map(Attachment::id).collect(Collectors.toSet());
    for (PassportRow row : rows) {
      row.attachment()
          .filter(a -> known.add(a.id()))
          .ifPresent(a -> {
            attachments.add(machineId, a, content(a));
            onAdded.accept(Chain.Of.ATTACHMENT);
          });
    }
  }

  /** What is in it, where it is what it is said to be. */
  private static byte[] content(AttachmentRow row) {
    try {
      byte[] bytes = Base64.getDecoder().decode(row.content());
      if (bytes.length <= Attachment.MOST_BYTES && Sha256.of(bytes).equals(row.sha256())) {
        return bytes;
      }
    } catch (IllegalArgumentException e) {
      LoggerFactory.getLogger(MachineRows.class).debug("no base64", e);
    }
    throw UnusableReading.of(
        "passport",
        Message.of("attachment.altered", Message.quoted(row.name())),
        Message.of("attachment.as-attached"));
  }

  private int placeLines(List<PassportRow> rows) {
    List<Placed> here = lines();
    Map<String, PassportRow> byId = new HashMap<>();
    here.forEach(p -> byId.put(p.id(), p.row));
    List<PassportRow> come = new ArrayList<>();
    Set<String> seen = new HashSet<>();
    for (PassportRow row : rows) {
      Optional<String> id = row.lineId();
      if (id.isEmpty() || !seen.add(id.get())) {
        continue;
      }
      PassportRow there = byId.get(id.get());
      if (there != null && !there.equals(row)) {
        throw UnusableReading.of(
            "passport",
            Message.of("passport.says-else", Message.quoted(id.get())),
            Message.of("passport.same"));
      }
      come.add(row);
    }
    Set<String> common =
        come.stream()
            .map(r -> r.lineId().orElseThrow())
            .filter(byId::containsKey)
            .collect(Collectors.toSet());
    new Placing(here, come, common).run();
    return come.size() - common.size();
  }

  /** Walks along both orders and puts what is new between what is there. */
  private final class Placing {
    private final List<Placed> here;
    private final List<PassportRow> come;
    private final Set<String> common;

    /** New ones since the last line that was there. */
    private final List<PassportRow> between = new ArrayList<>();

    private double last;

    Placing(List<Placed> here, List<PassportRow> come, Set<String> common) {
      this.here = here;
      this.come = come;
      this.common = common;
    }

    void run() {
      int i = 0;
      int j = 0;
      while (i < here.size() || j < come.size()) {
        if (j < come.size() && common.contains(id(come.get(j)))) {
          if (i < here.size() && here.get(i).id().equals(id(come.get(j)))) {
            pass(here.get(i++));
            j++;
          } else if (i < here.size() && before(i, id(come.get(j)))) {
            pass(here.get(i++));
          } else {
            // It stood earlier here: the orders contradict, and this one stays.
            j++;
          }
        } else if (j < come.size() && (i == here.size() || first(come.get(j), here.get(i)))) {
          between.add(come.get(j++));
        } else {
          pass(here.get(i++));
        }
      }
      for (PassportRow row : between) {
        last = Math.floor(last) + 1;
        add(row, last);
      }
    }

    private String id(PassportRow row) {
      return row.lineId().orElseThrow();
    }

    /** Whether the line of this id still comes. */
    private boolean before(int i, String id) {
      return here.subList(i, here.size()).stream().anyMatch(p -> p.id().equals(id));
    }

    /** What is common stands where it is: only lines that one file has are compared. */
    private boolean first(PassportRow coming, Placed there) {
      if (common.contains(there.id())) {
        return true;
      }
      int byTime = time(coming).compareTo(time(there.row));
      return byTime != 0 ? byTime < 0 : id(coming).compareTo(there.id()) < 0;
    }

    private static Instant time(PassportRow row) {
      String at = row.lineRecordedAt().orElseThrow();
      return Written.instantOr(at, at);
    }

    private void pass(Placed there) {
      for (int k = 0; k < between.size(); k++) {
        double share = (k + 1.0) / (between.size() + 1);
        add(between.get(k), last + (there.order - last) * share);
      }
      between.clear();
      last = there.order;
    }
  }

  private void add(Description d) {
    sql.run(
        "INSERT INTO machine (id, recorded_at, recorded_by, body, version) VALUES (?, ?, ?, ?, ?)",
        machineId,
        d.recordedAt(),
        d.recordedBy(),
        d.body(),
        d.version());
    onAdded.accept(Chain.Of.MACHINE);
  }

  private void add(PaperRow p) {
    sql.run(
        "INSERT INTO entry_paper (entry_id, body, version) VALUES (?, ?, ?)",
        p.entryId(),
        p.body(),
        p.version());
  }

  private void add(PassportRow row, double order) {
    row.entry().ifPresent(e -> add(e, order));
    row.event().ifPresent(e -> add(e, order));
  }

  private void add(EntryRow e, double order) {
    sql.run(
        """
        INSERT INTO entry (id, machine_id, station, subject, kind, at, recorded_at,
          recorded_by, because, readings, finding, verdict, figures, replaces, version, ord)
        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
        """,
        e.id(),
        machineId,
        e.station(),
        e.subject().orElse(null),
        e.kind(),
        e.at(),
        e.recordedAt(),
        e.recordedBy(),
        e.because(),
        e.readings(),
        e.finding(),
        e.verdict(),
        e.figures(),
        e.replaces().orElse(null),
        e.version(),
        order);
    onAdded.accept(Chain.Of.ENTRY);
  }

  private void add(EventRow e, double order) {
    sql.run(
        """
        INSERT INTO event (id, machine_id, kind, at, recorded_at, recorded_by, note, details,
          replaces, version, ord)
        VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
        """,
        e.id(),
        machineId,
        e.kind(),
        e.at(),
        e.recordedAt(),
        e.recordedBy(),
        e.note(),
        e.details().orElse(null),
        e.replaces().orElse(null),
        e.version(),
        order);
    onAdded.accept(Chain.Of.EVENT);
  }
}
