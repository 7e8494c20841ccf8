package zebrawood.desktop.upkeep;

import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import zebrawood.desktop.form.ChoiceField;
import zebrawood.desktop.form.Field;
import zebrawood.desktop.form.QuantityField;
import zebrawood.desktop.form.StationForm;
import zebrawood.desktop.form.WordsField;
import zebrawood.measure.UnusableReading;
import zebrawood.quantity.Quantity;
import zebrawood.upkeep.UpkeepTask;
import zebrawood.upkeep.UpkeepVisitReadings.Done;
import zebrawood.upkeep.UpkeepVisitReadings.Watched;
import zebrawood.words.Message;

/**
 * What is asked of one task.
 *
 * @param found on this visit
 * @param lastDone where no visit on record says it
 */
record TaskFields(
    UpkeepTask task,
    ChoiceField<FoundNow> found,
    QuantityField everyDays,
    QuantityField everyHours,
    WordsField lastDone) {
  static TaskFields make(StationForm form, UpkeepTask task) {
    QuantityField days =
        form.positive("days." + task.id(), label("everyDays", task), Quantity.DAYS, 3650);
    QuantityField hours =
        form.positive("hours." + task.id(), label("everyHours", task), Quantity.HOURS, 100_000);
    days.set(task.usualDays());
    task.usualHours().ifPresent(hours::set);
    return new TaskFields(
        task,
        form.choice(
            "reading.found." + task.id(),
            Message.of(task),
            List.of(FoundNow.values()),
            FoundNow.NOT_DONE),
        days,
        hours,
        form.words("last." + task.id(), label("lastDone", task), TaskFields::date));
  }

  private static Message label(String field, UpkeepTask task) {
    return Message.of("upkeep.field." + field, task);
  }

  private static LocalDate date(String words) {
    try {
      return LocalDate.parse(words.strip());
    } catch (DateTimeParseException e) {
      throw UnusableReading.of(
          "lastDone", Message.quoted(words.strip()), Message.of("upkeep.accepts.date"));
    }
  }

  List<Field> settings() {
    return List.of(everyDays, everyHours, lastDone);
  }

  /** Empty where it is looked after by nothing. */
  Optional<Watched> watched(PastVisits past) {
    OptionalDouble days = everyDays.value();
    OptionalDouble hours = everyHours.value();
    if (days.isEmpty() && hours.isEmpty()) {
      return Optional.empty();
    }
    Optional<PastVisits.Last> last = past.last(task);
    return Optional.of(
        new Watched(
            task,
            days,
            hours,
            last.map(PastVisits.Last::day)
                .or(() ->
                    lastDone.isEmpty() ? Optional.empty() : Optional.of(date(lastDone.text()))),
            last.map(PastVisits.Last::hours).orElse(OptionalDouble.empty()),
            past.found(task)));
  }

  Optional<Done> done() {
    return found.get().found().map(f -> new Done(task, f));
  }
}
