package app.yellowtab.convert.picture;

import java.awt.color.ICC_Profile;
import java.io.IOException;
import java.io.OutputStream;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;

/** Colour profiles that come with pictures (ISO 32000-1:2008, 8.6.5.5). */
final class Profiles {
    private Profiles() {}

    /** {@return whether a profile can be read and is for so many components} */
    static boolean isSound(byte[] profile, int components) {
        try {
            return ICC_Profile.getInstance(profile).getNumComponents() == components;
        } catch (RuntimeException unsound) {
            return false;
        }
    }

    /** {@return the colour space that a sound profile describes} */
    static PDColorSpace space(PDDocument document, byte[] profile, int components) throws IOException {
        PDICCBased space = new PDICCBased(document);
        try (OutputStream out = space.getPDStream().createOutputStream(COSName.FLATE_DECODE)) {
            out.write(profile);
        }
        space.getPDStream().getCOSObject().setInt(COSName.N, components);
        return PDColorSpace.create(space.getCOSObject());
    }
}
