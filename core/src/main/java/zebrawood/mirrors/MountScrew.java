package zebrawood.mirrors;

import zebrawood.words.Message;

/** One of the two screws of a mirror's mount, and its name wherever it is told of. */
public record MountScrew(int mirror, boolean sideways) {
  /** Such as "the sideways screw of mirror 1". */
  public Message said() {
    return Message.of(sideways ? "mirrors.screw.sideways" : "mirrors.screw.up-down", mirror);
  }
}
