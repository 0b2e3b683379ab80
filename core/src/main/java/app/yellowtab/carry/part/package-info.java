/** What a source's page is made of, and what its links, layers and actions lead to. */
@NullMarked
package app.yellowtab.carry.part;

import org.jspecify.annotations.NullMarked;
