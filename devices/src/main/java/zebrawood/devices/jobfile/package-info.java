/** A job file with something wrong in it, to practise on. */
package zebrawood.devices.jobfile;
