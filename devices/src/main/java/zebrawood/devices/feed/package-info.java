/** A piece that is passed through, to practise on. */
package zebrawood.devices.feed;
