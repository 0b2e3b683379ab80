package app.yellowtab.assemble;

import app.yellowtab.finding.Subject;
import app.yellowtab.leaf.Leaf;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import app.yellowtab.sets.Ways;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What leaves at once: files of leaves, and one ledger for all of them. Files of one plan lead into each other where they are its
 * volumes.
 *
 * @param name   the path that all is named after: the ledger, and the folder of the files that go along
 * @param files  at least one
 * @param ledger where their ledger goes
 * @param most   so many bytes each file may have; otherwise none is written
 */
public record Delivery(Path name, List<File> files, LedgerPlace ledger, long most) {
    public Delivery {
        files = List.copyOf(files);
    }

    /**
     * A file.
     *
     * @param plan   with at least one document
     * @param output which of its leaves it holds
     * @param target the PDF to write; what stands there is replaced
     */
    public record File(Plan plan, Output output, Path target) {
        String name() {
            return String.valueOf(target.getFileName());
        }
    }

    /** {@return a plan's set for the screen: one file, or its volumes, named after a path} */
    public static Delivery screen(Plan plan, Path target, LedgerPlace ledger) {
        return new Delivery(target, VolumeFiles.of(plan, target), ledger, Long.MAX_VALUE);
    }

    /** {@return the same with a further file} */
    public Delivery with(File further) {
        List<File> all = new ArrayList<>(files);
        all.add(further);
        return new Delivery(name, all, ledger, most);
    }

    /** {@return the same where no file may be larger than so many bytes} */
    public Delivery atMost(long bytes) {
        return new Delivery(name, files, ledger, bytes);
    }

    /** {@return one file and its ledger} */
    public static Delivery of(Plan plan, Output output, Path target, LedgerPlace ledger) {
        return new Delivery(target, List.of(new File(plan, output, target)), ledger, Long.MAX_VALUE);
    }

    /** {@return how many leaves there are in all files} */
    public int pages() {
        return files.stream().mapToInt(file -> file.output().size()).sum();
    }

    /** {@return the leaf that stands where something was found in one of the files; empty where that is not about a page} */
    public Optional<Leaf> leafOf(Subject found) {
        if (!(found instanceof Subject.OfProduced its) || its.page() == 0) return Optional.empty();
        for (File file : files) if (Subject.OfProduced.of(file.target(), 0).place().equals(its.place())
                && its.page() <= file.output().size())
            return Optional.of(file.output().leaves().get(its.page() - 1));
        return Optional.empty();
    }

    /** {@return where links of a file lead, which is counted from 0} */
    Ways ways(int number) {
        File own = files.get(number);
        if (own.output().kind() != Output.Kind.VOLUME) return Ways.within(own.output());
        List<Ways.Other> others = new ArrayList<>();
        for (int i = 0; i < files.size(); i++) {
            File other = files.get(i);
            if (i != number && other.output().kind() == Output.Kind.VOLUME)
                others.add(new Ways.Other(i, other.output(), other.name()));
        }
        return Ways.across(own.plan(), own.output(), others);
    }
}
