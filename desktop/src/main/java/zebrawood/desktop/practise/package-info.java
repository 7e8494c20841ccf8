/** A whole machine to practise on, as the window and the command line play it. Knows no scene. */
package zebrawood.desktop.practise;
