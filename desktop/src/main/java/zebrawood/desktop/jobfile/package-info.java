/** A look into a job file, on a sheet. */
package zebrawood.desktop.jobfile;
