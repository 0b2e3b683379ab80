package app.yellowtab.cli.option;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Severity;
import java.util.Collection;

/** What commands end with; 2 is picocli's, for arguments that are wrong. */
public final class Exit {
    /** All that was asked for is done. */
    public static final int DONE = 0;
    /** Nothing was done; it was said why. */
    public static final int NOTHING = 1;
    /** Something was left out or is damaged; it was named. */
    public static final int SOME_LEFT_OUT = 3;

    private Exit() {}

    /** {@return what follows from what was found on the way} */
    public static int of(Collection<Finding> findings) {
        return findings.stream().anyMatch(finding -> finding.severity() != Severity.REMARK) ? SOME_LEFT_OUT : DONE;
    }
}
