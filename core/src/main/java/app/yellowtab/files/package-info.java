/**
 * Files and folders: drafts, files put into place together, work folders, names, sums of bytes, and where the program keeps what
 * it remembers of its user.
 */
@NullMarked
package app.yellowtab.files;

import org.jspecify.annotations.NullMarked;
