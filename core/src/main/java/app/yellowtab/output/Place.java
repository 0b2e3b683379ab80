package app.yellowtab.output;

/**
 * Where a leaf stands among files that are produced together.
 *
 * @param file     which of them, counted from 0; {@link #OWN} for the one that says so
 * @param position in that file, counted from 1; 0 for nowhere
 */
public record Place(int file, int position) {
    /** Stands for the file itself. */
    public static final int OWN = -1;
    /** Of what leads nowhere. */
    public static final Place NOWHERE = new Place(0, 0);

    /** {@return a place in the file that says so} */
    public static Place here(int position) {
        return new Place(OWN, position);
    }

    /** {@return the same, said from outside of the file} */
    public Place in(int own) {
        return file == OWN ? new Place(own, position) : this;
    }

    public boolean isNowhere() {
        return position == 0;
    }
}
