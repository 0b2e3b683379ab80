/** What content streams say (ISO 32000-1:2008, 7.8 and annex A): {@link app.yellowtab.content.ContentScan}. */
@NullMarked
package app.yellowtab.content;

import org.jspecify.annotations.NullMarked;
