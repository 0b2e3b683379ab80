package app.yellowtab.leaf;

/**
 * One of the files into which the set for the screen is divided. It begins with the cover and the whole index.
 *
 * @param name  what it is called: its number, counted from 1, or the letter of its section
 * @param of    how many there are; 0 where they are called by letters
 * @param first the index of its first leaf behind cover and index, counted from 0
 * @param last  the index of its last leaf
 * @param from  the number that its first counted leaf bears, in its words; empty where none is counted
 * @param to    the number that its last counted leaf bears
 */
public record PlannedVolume(String name, int of, int first, int last, String from, String to) {
    /** The name of what stands in no section, where volumes are called by letters. */
    public static final String FRONT = "front";

    /** {@return such as "Volume 2 of 3"} */
    public String title() {
        if (name.equals(FRONT)) return "Front volume";
        return "Volume " + name + (of == 0 ? "" : " of " + of);
    }

    /** {@return what its cover says, such as "Volume 2 of 3, pages 401–812"} */
    public String words() {
        if (from.isEmpty()) return title();
        return title() + (from.equals(to) ? ", page " + from : ", pages " + from + "–" + to);
    }
}
