package app.yellowtab.testing;

import app.yellowtab.files.WorkFolder;
import app.yellowtab.sample.SampleMatter;
import java.io.IOException;
import java.nio.file.Path;
import org.jspecify.annotations.Nullable;

/** The files of the sample matter, which are dear to make: written once for all tests of a program, to be read only. */
public final class SampleFiles {
    private static @Nullable Path folder;

    private SampleFiles() {}

    /** {@return where they lie} */
    public static synchronized Path folder() throws IOException {
        if (folder == null) {
            Path made = WorkFolder.newFolder("sample").resolve("matter");
            SampleMatter.writeFiles(made);
            folder = made;
        }
        return folder;
    }
}
