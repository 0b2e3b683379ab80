package app.yellowtab.facts;

/**
 * How a scanned sheet lies, as its picture tells.
 *
 * @param turns        by how many quarter turns clockwise it stands upright; 0 where it does, or nobody knows
 * @param slantDegrees by how much it must be turned clockwise to lie straight; 0 where it does, or nobody knows
 * @param isBlank      whether it is surely blank: nothing on it but dirt
 */
public record SheetState(int turns, double slantDegrees, boolean isBlank) {
    /** As it should be, or unknown. */
    public static final SheetState SOUND = new SheetState(0, 0, false);

    public SheetState {
        if (turns < 0 || turns > 3) throw new IllegalArgumentException("\"turns\" must be 0 to 3, got " + turns);
        if (!(Math.abs(slantDegrees) <= 45)) throw new IllegalArgumentException("\"slantDegrees\" must be within 45, got " + slantDegrees);
    }
}
