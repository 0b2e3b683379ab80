package app.yellowtab.convert.page;

import app.yellowtab.finding.Finding;
import app.yellowtab.finding.Finding.Code;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What must be said of one conversion: gathered while it runs, each thing once. */
public final class Notes {
    private final Path named;
    private final Set<String> lost = new LinkedHashSet<>();
    private final Map<Code, String> said = new LinkedHashMap<>();

    /** @param named the file as the user knows it */
    public Notes(Path named) {
        this.named = named;
    }

    /** Says that something of the file is missing from its pages, or looks different there. */
    public void lost(String what) {
        lost.add(what);
    }

    public void say(Code code, String detail) {
        said.putIfAbsent(code, detail);
    }

    /** {@return all of it} */
    public List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        said.forEach((code, detail) -> findings.add(Finding.of(code, named, detail)));
        if (!lost.isEmpty()) findings.add(Finding.of(Code.CONVERSION_LOST, named, String.join("; ", lost)));
        return findings;
    }
}
