/**
 * Lists of a matter: which page bears which number, numbers of the other side, redactions, dates, and what was issued. Start at
 * {@link app.yellowtab.register.MatterRegister}.
 */
@NullMarked
package app.yellowtab.register;

import org.jspecify.annotations.NullMarked;
