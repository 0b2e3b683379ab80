/** Proving a produced bundle against its ledger. Start at {@link app.yellowtab.prove.Prover}. */
@NullMarked
package app.yellowtab.prove;

import org.jspecify.annotations.NullMarked;
