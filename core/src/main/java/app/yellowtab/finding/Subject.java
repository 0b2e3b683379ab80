package app.yellowtab.finding;

import java.nio.file.Path;
import java.util.Objects;

/** What a finding is about. */
public sealed interface Subject {
    /** {@return what it is called in a message} */
    String name();

    /** {@return where it lies; its name where it lies nowhere} */
    default String place() {
        return name();
    }

    /** {@return the page of it, counted from 1; 0 for all of it} */
    default int page() {
        return 0;
    }

    /**
     * A file that was to be read, or one of its pages.
     *
     * @param within the files that it was taken out of; empty for none
     * @param place  its whole path
     * @param page   counted from 1; 0 for the whole file
     */
    record OfFile(String name, String within, String place, int page) implements Subject {
        public OfFile {
            requireNames(name, place);
            Objects.requireNonNull(within, "within");
            requirePage(page);
        }

        static OfFile of(Path file, int page) {
            return new OfFile(nameOf(file), "", file.toString(), page);
        }
    }

    /**
     * A source of a bundle, or one of its pages.
     *
     * @param id    its identity in the bundle
     * @param place the whole path of its original
     * @param page  counted from 1; 0 for the whole source
     */
    record OfSource(String id, String name, String place, int page) implements Subject {
        public OfSource {
            Objects.requireNonNull(id, "id");
            requireNames(name, place);
            requirePage(page);
        }

        /**
         * {@return the subject that a source is}
         *
         * @param original the file as it was brought in
         */
        public static OfSource of(String id, Path original, int page) {
            return new OfSource(id, nameOf(original), original.toString(), page);
        }

        /** {@return a page of the same source, counted from 1; 0 for the whole source} */
        public OfSource onPage(int newPage) {
            return new OfSource(id, name, place, newPage);
        }
    }

    /**
     * An entry of the index.
     *
     * @param id   its identity in the bundle
     * @param name its title
     */
    record OfEntry(String id, String name) implements Subject {
        public OfEntry {
            Objects.requireNonNull(id, "id");
            Objects.requireNonNull(name, "name");
        }
    }

    /**
     * A file that was produced, or one of its pages.
     *
     * @param place its whole path
     * @param page  the place in the file, counted from 1; 0 for the whole file
     */
    record OfProduced(String name, String place, int page) implements Subject {
        public OfProduced {
            requireNames(name, place);
            requirePage(page);
        }

        public static OfProduced of(Path file, int page) {
            return new OfProduced(nameOf(file), file.toString(), page);
        }
    }

    /** Something else, by its name, such as the heading. */
    record OfThing(String name) implements Subject {
        public OfThing {
            Objects.requireNonNull(name, "name");
        }
    }

    private static String nameOf(Path file) {
        return file.getFileName() == null ? file.toString() : file.getFileName().toString();
    }

    private static void requireNames(String name, String place) {
        Objects.requireNonNull(name, "name");
        Objects.requireNonNull(place, "place");
    }

    private static void requirePage(int page) {
        if (page < 0) throw new IllegalArgumentException("a finding's page must be >= 0, got " + page);
    }
}
