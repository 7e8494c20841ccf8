package zebrawood.machine;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import zebrawood.measure.Accepts;
import zebrawood.words.Message;

/** What tells a machine from others of its kind, as far as somebody said it. */
public record Identity(
    Optional<String> serialNumber, Optional<String> place, Optional<String> customer) {
  /** Longer ones would not fit the sheet they are printed on. */
  public static final int LONGEST = 60;

  public Identity {
    var accepts = new Accepts();
    check(accepts, "serialNumber", serialNumber);
    check(accepts, "place", place);
    check(accepts, "customer", customer);
    accepts.orThrow();
  }

  private static void check(Accepts accepts, String field, Optional<String> words) {
    words
        .filter(
            w -> w.isBlank() || w.length() > LONGEST || w.chars().anyMatch(Character::isISOControl))
        .ifPresent(w ->
            accepts.complain(
                field,
                Message.of("accepts.text", Message.quoted(w)),
                Message.of("machine.accepts.most-letters", LONGEST)));
  }

  /** In one line, such as "serial number 12 · in the shed · for the garden club". */
  public Message said() {
    List<Message> parts =
        Stream.of(
                serialNumber.map(s -> Message.of("machine.identity.serial", Message.quoted(s))),
                place.map(p -> Message.of("machine.identity.place", Message.quoted(p))),
                customer.map(c -> Message.of("machine.identity.customer", Message.quoted(c))))
            .flatMap(Optional::stream)
            .toList();
    return parts.stream()
        .reduce((one, next) -> Message.of("machine.identity.and", one, next))
        .orElse(Message.NONE);
  }
}
