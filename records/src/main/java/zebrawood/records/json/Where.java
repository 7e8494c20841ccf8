package zebrawood.records.json;

/** Where in a document something stands; put into words only when it is complained of. */
sealed interface Where {
  /** The document itself. */
  record Top() implements Where {}

  /** A field of an object. */
  record Field(Where of, String name) implements Where {}

  /** An item of a list. */
  record Item(Where of, int index) implements Where {}

  Where TOP = new Top();

  /** Such as {@code points[2].gapMm}. */
  default String inWords() {
    return switch (this) {
      case Top t -> "the input";
      case Field(Top t, String name) -> name;
      case Field(Where of, String name) -> of.inWords() + "." + name;
      case Item(Where of, int index) -> of.inWords() + "[" + index + "]";
    };
  }
}
