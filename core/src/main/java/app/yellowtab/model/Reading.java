package app.yellowtab.model;

import java.time.ZoneId;
import java.util.Objects;
import java.util.Optional;

/**
 * How files are read that leave a choice, and dates that are only figures.
 *
 * @param monthFirst   whether 4/3/2031 is the third of April
 * @param showChanges  whether tracked changes are marked, instead of accepted
 * @param showComments whether comments on words stand in the text, instead of being left out
 * @param zone         where days begin of which only the moment is known; empty for where the computer is
 */
public record Reading(boolean monthFirst, boolean showChanges, boolean showComments, Optional<ZoneId> zone) {
    /** The day first; changes accepted; no comments; the computer's zone. */
    public static final Reading STANDARD = new Reading(false, false, false);

    public Reading {
        Objects.requireNonNull(zone, "zone");
    }

    /** In the computer's zone. */
    public Reading(boolean monthFirst, boolean showChanges, boolean showComments) {
        this(monthFirst, showChanges, showComments, Optional.empty());
    }

    /** {@return the zone that is chosen, or the computer's} */
    public ZoneId zoneInUse() {
        return zone.orElseGet(ZoneId::systemDefault);
    }

    public Reading withZone(Optional<ZoneId> newZone) {
        return new Reading(monthFirst, showChanges, showComments, newZone);
    }
}
