/**
 * Carrying out plans: from plan and sources to the files of one delivery, all or none. Start at
 * {@link app.yellowtab.assemble.Assembler}.
 */
@NullMarked
package app.yellowtab.assemble;

import org.jspecify.annotations.NullMarked;
