/** Proving a produced bundle against its ledger. */
@NullMarked
package app.yellowtab.prove;

import org.jspecify.annotations.NullMarked;
