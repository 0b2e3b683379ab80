package app.yellowtab.ledger;

import app.yellowtab.files.Drafts;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.slf4j.LoggerFactory;

/** Where the ledger of a production goes. It names files of the house, so it goes beside the PDF only where one says so. */
public sealed interface LedgerPlace {
    /** Beside the PDF, where an older one is replaced. */
    LedgerPlace BESIDE = new Beside();
    /** Nowhere: none is kept. */
    LedgerPlace NONE = new None();

    /** {@return a path in the folder that it is drafted in} */
    Path drafted(Path target);

    /**
     * {@return the file that it becomes; empty for none}
     *
     * @param identity of the PDF, as {@link Ledger.ProducedFile} has it
     */
    Optional<Path> file(Path target, String identity);

    /** {@return the folders in which ledgers of earlier productions lie} */
    default List<Path> folders() {
        return List.of();
    }

    /** Beside the PDF. */
    record Beside() implements LedgerPlace {
        @Override
        public Path drafted(Path target) {
            return Ledger.beside(target);
        }

        @Override
        public Optional<Path> file(Path target, String identity) {
            return Optional.of(Ledger.beside(target));
        }
    }

    /** In a file that somebody chose. */
    record At(Path chosen) implements LedgerPlace {
        @Override
        public Path drafted(Path target) {
            return chosen;
        }

        @Override
        public Optional<Path> file(Path target, String identity) {
            return Optional.of(chosen);
        }
    }

    /**
     * In a folder of the house, where each has a name of its own and all stay.
     *
     * @param time of the production
     */
    record House(Path folder, LocalDateTime time) implements LedgerPlace {
        private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("yyyy-MM-dd HH.mm.ss", Locale.ROOT);
        private static final int LONGEST_NAME = 120;
        private static final int MARK = 8;

        @Override
        public Path drafted(Path target) {
            return folder.resolve("ledger");
        }

        @Override
        public Optional<Path> file(Path target, String identity) {
            String stem = Ledger.stem(target);
            return Optional.of(folder.resolve((stem.length() > LONGEST_NAME ? stem.substring(0, LONGEST_NAME) : stem) + " "
                    + TIME.format(time) + " " + mark(identity) + Ledger.ENDING));
        }

        /** {@return what the name of each ledger of a PDF ends with} */
        static String mark(String identity) {
            return identity.substring(0, MARK);
        }

        @Override
        public List<Path> folders() {
            return List.of(folder);
        }

        /** Takes a ledger in that an earlier production put beside a PDF; it says nothing of what lies there now. */
        public void takeIn(Path target) {
            Path beside = Ledger.beside(target);
            try {
                if (!Files.isRegularFile(beside)) return;
                String identity = LedgerReader.read(beside).files().getFirst().identity();
                LocalDateTime then =
                        LocalDateTime.ofInstant(Files.getLastModifiedTime(beside).toInstant(), ZoneId.systemDefault());
                Drafts.move(beside, new House(folder, then).file(target, identity).orElseThrow());
            } catch (IOException stays) {
                LoggerFactory.getLogger(LedgerPlace.class).warn("an older ledger stays where it is: {}", beside, stays);
            }
        }
    }

    /** Nowhere. */
    record None() implements LedgerPlace {
        @Override
        public Path drafted(Path target) {
            return Ledger.beside(target);
        }

        @Override
        public Optional<Path> file(Path target, String identity) {
            return Optional.empty();
        }
    }
}
