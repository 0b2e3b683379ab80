package app.yellowtab.prove;

import app.yellowtab.ledger.Ledger;
import java.nio.file.Path;

/**
 * A produced file that is proved.
 *
 * @param number    which it is of the files of its ledger, counted from 0
 * @param ledger    what that says of it alone
 * @param crossings where links into the other files lead
 */
record Produced(Path file, int number, Ledger ledger, PageTable pages, Crossings crossings) {}
