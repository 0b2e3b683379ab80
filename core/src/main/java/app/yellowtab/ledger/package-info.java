/** The proof that goes with a produced bundle. Start at {@link app.yellowtab.ledger.Ledger}. */
@NullMarked
package app.yellowtab.ledger;

import org.jspecify.annotations.NullMarked;
