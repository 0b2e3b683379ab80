package app.yellowtab.convert.mail;

import jakarta.activation.DataSource;
import jakarta.mail.MessagingException;
import jakarta.mail.internet.MimeMultipart;

/** Parts of a mail whose boundaries (RFC 2046, 5.1.1) are not as they should be. */
final class LenientMultipart extends MimeMultipart {
    /**
     * @param asStated whether the boundary is the one that the header states; otherwise it is the first line that looks like one
     */
    LenientMultipart(DataSource from, boolean asStated) throws MessagingException {
        super(from);
        ignoreExistingBoundaryParameter = !asStated;
    }

    @Override
    protected void initializeProperties() {
        ignoreMissingEndBoundary = true;
        ignoreMissingBoundaryParameter = true;
        allowEmpty = true;
    }
}
