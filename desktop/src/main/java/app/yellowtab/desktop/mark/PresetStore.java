package app.yellowtab.desktop.mark;

import app.yellowtab.desktop.work.KeptMenu;
import app.yellowtab.desktop.work.KeptMenu.Kept;
import app.yellowtab.edit.number.NumberPreset;
import app.yellowtab.finding.FindingException;
import app.yellowtab.keep.NumberPresets;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** Ways of setting numbers and lines as the menu of kept ones wants them. */
public record PresetStore(NumberPresets presets) implements KeptMenu.Store<NumberPreset> {
    private static Kept<NumberPreset> of(NumberPresets.Named named) {
        return new Kept<>(named.name(), named.preset());
    }

    private static NumberPresets.Named named(Kept<NumberPreset> one) {
        return new NumberPresets.Named(one.name(), one.value());
    }

    @Override
    public List<Kept<NumberPreset>> list() {
        return presets.list().stream().map(PresetStore::of).toList();
    }

    @Override
    public void keep(Kept<NumberPreset> one) throws FindingException {
        presets.keep(named(one));
    }

    @Override
    public void forget(String name) throws FindingException {
        presets.forget(name);
        if (presets.standardName().filter(name::equals).isPresent()) presets.makeStandard(Optional.empty());
    }

    @Override
    public Kept<NumberPreset> read(Path file) throws FindingException {
        return of(NumberPresets.read(file));
    }

    @Override
    public void write(Path file, Kept<NumberPreset> one) throws FindingException {
        NumberPresets.write(file, named(one));
    }

    @Override
    public boolean hasStandard() {
        return true;
    }

    @Override
    public Optional<String> standard() {
        return presets.standardName();
    }

    @Override
    public void makeStandard(Optional<String> name) throws FindingException {
        presets.makeStandard(name);
    }
}
