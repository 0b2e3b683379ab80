package app.yellowtab.model;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One side of the case.
 *
 * @param name never blank
 * @param role such as "Claimant"; empty when not given
 */
public record Party(String name, String role) {
    private static final Pattern WITH_ROLE = Pattern.compile("(.*\\S)\\s*\\(([^()]*)\\)");

    public Party {
        Objects.requireNonNull(role, "role");
        if (name.isBlank()) throw new IllegalArgumentException("a party's name must not be blank");
    }

    /**
     * Reads parties as they are typed: {@code A Ltd (Claimant); B Ltd (Defendant)}.
     *
     * @param typed parties between semicolons, the role of each in brackets at its end if it has one
     * @return the parties in that order; empty for blank text
     */
    public static List<Party> parseAll(String typed) {
        List<Party> parties = new ArrayList<>();
        for (String part : typed.split(";")) {
            String text = part.strip();
            if (text.isEmpty()) continue;
            Matcher role = WITH_ROLE.matcher(text);
            parties.add(role.matches() ? new Party(role.group(1), role.group(2).strip()) : new Party(text, ""));
        }
        return List.copyOf(parties);
    }
}
