package zebrawood.devices.controller;

/** Something over a link that is tried several times. */
@FunctionalInterface
interface Tried<T> {
  T run() throws LinkTrouble;
}
