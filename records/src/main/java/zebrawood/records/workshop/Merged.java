package zebrawood.records.workshop;

/**
 * What taking a passport in came to.
 *
 * @param added lines that were not there
 * @param known lines that were there already
 * @param descriptions of the machine that were not there
 * @param bothChanged whether the machine was described anew on both sides: both are kept, the one
 *     written last counts
 */
public record Merged(int added, int known, int descriptions, boolean bothChanged) {}
