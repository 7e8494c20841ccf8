/**
 * What is measured and not tested: start-up against an empty window, a keystroke's way to the
 * advice, and how many documents {@code solve --lines} answers. {@code benchmarks/run} runs all.
 */
package zebrawood.benchmarks;
