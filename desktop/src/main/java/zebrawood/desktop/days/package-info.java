/**
 * Two days beside each other: it worked on the one and not on the other. What differs, the
 * likeliest first, what happened in between, and where to look. Knows no scene.
 */
package zebrawood.desktop.days;
