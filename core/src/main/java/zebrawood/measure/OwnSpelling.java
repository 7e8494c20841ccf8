package zebrawood.measure;

/** A constant whose spelling in documents is not its name in lower case. */
public interface OwnSpelling {
  String spelling();
}
