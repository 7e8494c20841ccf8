package zebrawood.desktop.trial;

/** What is looked at on a trial piece; yes where it is so. */
enum Looked {
  CENTRE,
  FRONT_LEFT,
  FRONT_RIGHT,
  REAR_LEFT,
  REAR_RIGHT,
  FIELD,
  LETTERS,
  CODE,
  LIGHT_CODE
}
