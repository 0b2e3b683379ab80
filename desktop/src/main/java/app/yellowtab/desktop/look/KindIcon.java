package app.yellowtab.desktop.look;

import app.yellowtab.model.source.SourceKind;
import org.kordamp.ikonli.feather.Feather;

/** The picture that stands for a kind of file. */
public final class KindIcon {
    private KindIcon() {}

    public static Feather of(SourceKind kind) {
        return switch (kind) {
            case PDF, DOCX, DOC, RTF, ODT -> Feather.FILE_TEXT;
            case JPEG, PNG, GIF, BMP, WEBP, JP2 -> Feather.IMAGE;
            case TIFF -> Feather.LAYERS;
            case TEXT -> Feather.ALIGN_LEFT;
            case XLSX, XLS, ODS, CSV -> Feather.GRID;
            case PPTX, PPT, ODP -> Feather.MONITOR;
            case HTML -> Feather.GLOBE;
            case EML, MSG -> Feather.MAIL;
            case OTHER -> Feather.FILE;
        };
    }
}
