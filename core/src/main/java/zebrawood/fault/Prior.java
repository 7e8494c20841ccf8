package zebrawood.fault;

/**
 * Why a cause counts as much as it does before anything was tried.
 *
 * @param pointed whether the words for what is seen point to it
 * @param closed cases on this workshop's machines that turned out to be it
 */
public record Prior(Cause cause, boolean pointed, RecordSays says, int closed) {
  /** Its weight: as common as it is, with each case of this workshop as one more. */
  public double weight() {
    return (FaultTable.commonness(cause) + closed)
        * (pointed ? 1 : FaultTable.ELSEWHERE)
        * says.factor();
  }
}
