package app.yellowtab.desktop.batch;

import app.yellowtab.desktop.work.KeptMenu;
import app.yellowtab.desktop.work.KeptMenu.Kept;
import app.yellowtab.finding.FindingException;
import app.yellowtab.keep.KeptRules;
import app.yellowtab.model.cut.CutRules;
import java.nio.file.Path;
import java.util.List;

/** Rules for cutting as the menu of kept ones wants them. */
public record RulesStore(KeptRules kept) implements KeptMenu.Store<CutRules> {
    private static Kept<CutRules> of(KeptRules.Named named) {
        return new Kept<>(named.name(), named.rules());
    }

    private static KeptRules.Named named(Kept<CutRules> one) {
        return new KeptRules.Named(one.name(), one.value());
    }

    @Override
    public List<Kept<CutRules>> list() {
        return kept.list().stream().map(RulesStore::of).toList();
    }

    @Override
    public void keep(Kept<CutRules> one) throws FindingException {
        kept.keep(named(one));
    }

    @Override
    public void forget(String name) throws FindingException {
        kept.forget(name);
    }

    @Override
    public Kept<CutRules> read(Path file) throws FindingException {
        return of(KeptRules.read(file));
    }

    @Override
    public void write(Path file, Kept<CutRules> one) throws FindingException {
        KeptRules.write(file, named(one));
    }
}
