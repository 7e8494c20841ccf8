/**
 * A look into a job file before it is burnt: what an exported motion program does, beside what the
 * machine can do. Nothing is changed in the file.
 */
package zebrawood.jobfile;
