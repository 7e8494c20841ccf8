/**
 * The cooling station: is the coolant cold enough for the tube, warmer than the dew point, flowing
 * and clean, and does the interlock really stop the beam?
 *
 * <p>What is read (room, humidity, coolant at the start and after an hour, conductivity) and what
 * is proven by hand become a verdict, the highest safe set point of a chiller, and what to do
 * first. A coolant at or below the dew point is a stop, whatever else holds. Figures that nobody
 * read decide nothing.
 */
package zebrawood.cooling;
