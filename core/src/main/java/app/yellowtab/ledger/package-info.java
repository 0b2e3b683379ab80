/** The proof that goes with what was produced at once. Start at {@link app.yellowtab.ledger.Ledger}. */
@NullMarked
package app.yellowtab.ledger;

import org.jspecify.annotations.NullMarked;
