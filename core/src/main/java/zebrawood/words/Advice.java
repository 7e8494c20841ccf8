package zebrawood.words;

import java.util.Optional;

/**
 * One thing to do.
 *
 * @param what the instruction, without its reason
 * @param why the reason or the exact figures, if there is more to say
 * @param subject what to touch, where it is set apart: a screw, a foot
 */
public record Advice(Kind kind, Message what, Optional<Message> why, Optional<Message> subject) {
  /** What sort of step it is. */
  public enum Kind {
    /** To be done with the hands, or left alone. */
    DO,
    /** Something is to be read before anything can be decided. */
    READ,
    /** Something is to be tried and answered: what to prove is the reason's place. */
    PROVE,
    /** Nothing to do. */
    LEAVE
  }

  public static Advice of(Kind kind, String key, Object... arguments) {
    return new Advice(kind, Message.of(key, arguments), Optional.empty(), Optional.empty());
  }

  public static Advice act(String key, Object... arguments) {
    return of(Kind.DO, key, arguments);
  }

  public static Advice read(String key, Object... arguments) {
    return of(Kind.READ, key, arguments);
  }

  public static Advice leave(String key, Object... arguments) {
    return of(Kind.LEAVE, key, arguments);
  }

  /** To prove this: what is so when it is in order. */
  public static Advice prove(Message so) {
    return of(Kind.PROVE, "words.prove").because(so);
  }

  /** It was looked at and is not so; nothing is fired before it is. */
  public static Advice notSo(Message so) {
    return act("words.not-so").because(so);
  }

  public Advice because(String key, Object... arguments) {
    return because(Message.of(key, arguments));
  }

  public Advice because(Message reason) {
    return new Advice(kind, what, Optional.of(reason), subject);
  }

  /** What and why in one message, for where it only warns. */
  public Message said() {
    return why.map(reason -> Message.of("words.because", what, reason)).orElse(what);
  }

  /** With what is to be touched. */
  public Advice at(Message touched) {
    return new Advice(kind, what, why, Optional.of(touched));
  }
}
