package app.yellowtab.finding;

import java.io.IOException;
import org.jspecify.annotations.Nullable;

/** Work that could not be done. Its message is the finding's, fit to be shown to the user. */
public final class FindingException extends IOException {
    private static final long serialVersionUID = 1L;
    private final transient Finding finding;

    public FindingException(Finding finding, @Nullable Throwable cause) {
        super(finding.message(), cause);
        this.finding = finding;
    }

    public Finding finding() {
        return finding;
    }
}
