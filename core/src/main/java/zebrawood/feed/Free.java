package zebrawood.feed;

import java.util.List;

/** Where nothing is burnt, in the piece's order; all else is. */
public record Free(List<Band> bands) {
  public Free {
    bands = List.copyOf(bands);
  }
}
