/** Carrying out a plan: from plan and sources to a PDF. Start at {@link app.yellowtab.assemble.Assembler}. */
@NullMarked
package app.yellowtab.assemble;

import org.jspecify.annotations.NullMarked;
