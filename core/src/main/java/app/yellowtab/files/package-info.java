/** Files and folders: drafts, work folders, names, sums of bytes, and where the program keeps what it remembers of its user. */
@NullMarked
package app.yellowtab.files;

import org.jspecify.annotations.NullMarked;
