package app.yellowtab.model.contents;

import app.yellowtab.model.source.Source;

/** Something that has no place in the index. */
public sealed interface InTray {
    /** {@return its identity among all that lies in the tray} */
    String id();

    /** A file that nothing was made of yet. */
    record File(Source source) implements InTray {
        @Override
        public String id() {
            return source.id().value();
        }
    }

    /** A document that was taken out of the index, as it was. */
    record SetAside(Document document) implements InTray {
        @Override
        public String id() {
            return document.id().value();
        }
    }
}
