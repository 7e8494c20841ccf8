package zebrawood.records.json;

/** DocumentPath in a document something stands; put into words only when it is complained of. */
sealed interface DocumentPath {
  /** The document itself. */
  record Top() implements DocumentPath {}

  /** A field of an object. */
  record Field(DocumentPath of, String name) implements DocumentPath {}

  /** An item of a list. */
  record Item(DocumentPath of, int index) implements DocumentPath {}

  DocumentPath TOP = new Top();

  /** Such as {@code points[2].gapMm}. */
  default String inWords() {
    return switch (this) {
      case Top t -> "the input";
      case Field(Top t, String name) -> name;
      case Field(DocumentPath of, String name) -> of.inWords() + "." + name;
      case Item(DocumentPath of, int index) -> of.inWords() + "[" + index + "]";
    };
  }
}
