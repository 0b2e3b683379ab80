/** The program that reads pictures, run as a child of ours. */
@NullMarked
package app.yellowtab.recognise.worker;

import org.jspecify.annotations.NullMarked;
