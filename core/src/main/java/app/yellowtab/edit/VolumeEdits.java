package app.yellowtab.edit;

import app.yellowtab.model.Bundle;
import app.yellowtab.model.Volumes;
import app.yellowtab.model.Volumes.Division;
import app.yellowtab.model.number.BundleNumber;
import java.util.List;

/** Edits of how the set for the screen is divided into files. */
public final class VolumeEdits {
    private VolumeEdits() {}

    /** {@return the bundle divided otherwise; by letters its numbers begin anew in each section} */
    public static Bundle divided(Bundle bundle, Volumes volumes) {
        Bundle divided = bundle.withLayout(bundle.layout().withVolumes(volumes));
        BundleNumber number = bundle.numbering().bundle();
        return volumes.by() != Division.LETTERS || number.bySection() ? divided
                : divided.withNumbering(divided.numbering().withBundle(number.withBySection(true)));
    }

    /**
     * {@return the bundle with the volumes beginning again where they began when it was produced} Where it is divided by
     * something else by now, nothing is kept.
     *
     * @param starts where they began; none where the set for the screen was not produced, or is one file
     */
    public static Bundle kept(Bundle bundle, Volumes produced, List<Volumes.Start> starts) {
        Volumes now = bundle.layout().volumes();
        boolean isBounded = now.by() == Division.SIZE || now.by() == Division.PAGES;
        return !starts.isEmpty() && isBounded && now.by() == produced.by() && now.most() == produced.most()
                ? bundle.withLayout(bundle.layout().withVolumes(now.withKept(starts))) : bundle;
    }
}
