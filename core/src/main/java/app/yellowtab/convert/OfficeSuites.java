package app.yellowtab.convert;

import java.util.Optional;

/** Whether conversions use an office suite. One is looked for when the first of them could, not before. */
public final class OfficeSuites {
    private static volatile boolean inUse;

    private OfficeSuites() {}

    /** Looked for once. */
    private static final class Installed {
        private static final Optional<OfficeSuite> SUITE = OfficeSuite.installed();
    }

    /** Lets conversions use an office suite from now on, if one is installed. */
    public static void use() {
        inUse = true;
    }

    /** {@return the suite that conversions use} */
    static Optional<OfficeSuite> used() {
        return inUse ? Installed.SUITE : Optional.empty();
    }
}
