package app.yellowtab.assemble;

import app.yellowtab.leaf.PlannedVolume;
import app.yellowtab.ledger.LedgerFinder;
import app.yellowtab.ledger.LedgerPlace;
import app.yellowtab.ledger.LedgerReader;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.slf4j.LoggerFactory;

/** The files of the set for the screen: one, or a volume each. */
final class VolumeFiles {
    private static final String ENDING = ".pdf";
    private static final String BEGIN = " (volume ";
    private static final String END = ")" + ENDING;

    private VolumeFiles() {}

    /**
     * {@return the files of a plan}
     *
     * @param target the one file, or what the volumes are named after
     */
    static List<Delivery.File> of(Plan plan, Path target) {
        List<PlannedVolume> volumes = plan.parting().volumes();
        if (volumes.isEmpty()) return List.of(new Delivery.File(plan, Output.screen(plan), target));
        return volumes.stream().map(volume -> new Delivery.File(plan.in(volume), Output.of(plan, volume),
                target.resolveSibling(stem(target) + BEGIN + volume.name() + END))).toList();
    }

    private static String stem(Path target) {
        String name = String.valueOf(target.getFileName());
        return name.endsWith(ENDING) ? name.substring(0, name.length() - ENDING.length()) : name;
    }

    /** {@return the volumes that an earlier production wrote and that this one does not, as they were written} */
    static List<Path> left(Delivery delivery) {
        Set<Path> written = new HashSet<>();
        for (Delivery.File file : delivery.files()) written.add(file.target().toAbsolutePath());
        boolean isScreen = delivery.files().stream().anyMatch(file -> file.output().kind() != Output.Kind.PAPER);
        Path name = delivery.name().toAbsolutePath();
        List<Path> left = new ArrayList<>();
        if (!isScreen) return left;
        try (Stream<Path> files = Files.list(name.getParent())) {
            for (Path file : files.filter(file -> isVolumeOf(file, name) && !written.contains(file)).toList())
                if (isOurs(file, delivery.ledger())) left.add(file);
        } catch (IOException | UncheckedIOException unreadable) {
            LoggerFactory.getLogger(VolumeFiles.class).warn("it is not known which volumes were written before", unreadable);
        }
        return left;
    }

    private static boolean isVolumeOf(Path file, Path name) {
        String its = String.valueOf(file.getFileName());
        return its.startsWith(stem(name) + BEGIN) && its.endsWith(END);
    }

    private static boolean isOurs(Path file, LedgerPlace place) {
        Path ledger = LedgerFinder.find(file, place.folders());
        Optional<String> identity = LedgerFinder.asWritten(file);
        try {
            return identity.isPresent() && Files.isRegularFile(ledger) && LedgerReader.read(ledger).files().stream()
                    .anyMatch(one -> one.output().equals("volume") && one.identity().equals(identity.get()));
        } catch (IOException damaged) {
            LoggerFactory.getLogger(VolumeFiles.class).warn("whether it is ours is not known: {}", file, damaged);
            return false;
        }
    }
}
