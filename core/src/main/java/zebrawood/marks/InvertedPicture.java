package zebrawood.marks;

import zebrawood.measure.Picture;

/** Light marks on dark stock, seen as dark ones on light. */
public record InvertedPicture(Picture of) implements Picture {
  @Override
  public int width() {
    return of.width();
  }

  @Override
  public int height() {
    return of.height();
  }

  @Override
  public double light(int x, int y) {
    return 255 - of.light(x, y);
  }

  @Override
  public void row(int x, int y, double[] into) {
    of.row(x, y, into);
    for (int i = 0; i < into.length; i++) {
      into[i] = 255 - into[i];
    }
  }
}
