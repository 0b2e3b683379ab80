package app.yellowtab.sets;

import app.yellowtab.output.Place;

/** Where what leads to a leaf leads. */
public sealed interface Way {
    Place place();

    /** Into the same file. */
    record Within(int position) implements Way {
        @Override
        public Place place() {
            return Place.here(position);
        }
    }

    /**
     * Into another file.
     *
     * @param fileName its name
     * @param name     of the destination in it
     */
    record Across(Place place, String fileName, String name) implements Way {}
}
