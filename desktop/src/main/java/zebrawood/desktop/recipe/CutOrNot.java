package zebrawood.desktop.recipe;

/** Whether a piece was cut with a recipe. */
enum CutOrNot {
  NOT_YET,
  CUT
}
