package app.yellowtab.assemble;

/** Is told how far an assembly is. Called on the thread that assembles. */
@FunctionalInterface
public interface Progress {
    /** Hears nothing. */
    Progress NONE = (done, total) -> { };

    /** @param done how many of the {@code total} leaves are finished */
    void report(int done, int total);
}
