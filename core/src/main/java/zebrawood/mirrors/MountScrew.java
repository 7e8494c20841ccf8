package zebrawood.mirrors;

/** One of the two screws of a mirror's mount, and its name wherever it is told of. */
public record MountScrew(int mirror, boolean sideways) {
  /** Such as "the sideways screw of mirror 1". */
  public String words() {
    return "the %s screw of mirror %d".formatted(sideways ? "sideways" : "up-and-down", mirror);
  }
}
