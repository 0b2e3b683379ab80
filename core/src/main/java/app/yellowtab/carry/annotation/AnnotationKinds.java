package app.yellowtab.carry.annotation;

import java.util.Set;

/** Kinds of annotations (ISO 32000-1:2008, 12.5.6.2), by what becomes of them. */
final class AnnotationKinds {
    /** The markup annotations, and files pinned to a page. */
    static final Set<String> COMMENTS = Set.of("Text", "FreeText", "Line", "Square", "Circle", "Polygon", "PolyLine",
            "Highlight", "Underline", "Squiggly", "StrikeOut", "Stamp", "Caret", "Ink", "FileAttachment", "Redact");
    /** Those that play or run something. */
    static final Set<String> MEDIA = Set.of("RichMedia", "Movie", "Sound", "Screen", "3D");
    /** Those that serve a printing press or were replaced by newer things, and show nothing. */
    static final Set<String> NEVER = Set.of("TrapNet");

    private AnnotationKinds() {}
}
