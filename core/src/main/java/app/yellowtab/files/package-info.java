/** Files and folders of the program's own: drafts, work folders, what it remembers of its user. */
@NullMarked
package app.yellowtab.files;

import org.jspecify.annotations.NullMarked;
