package app.yellowtab.deliver;

import app.yellowtab.finding.FindingException;
import app.yellowtab.finding.Progress;
import app.yellowtab.model.Bundle;
import app.yellowtab.picture.PageRenderer;
import app.yellowtab.plan.Plan;
import app.yellowtab.sets.Output;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Set;
import java.util.function.BooleanSupplier;

/**
 * The files that a set to be printed consists of, beside that for the screen.
 *
 * @param file   the PDF to be printed
 * @param order  what the person at the printer must know
 * @param labels for the spines of the binders
 */
public record PaperFiles(Path file, Path order, Path labels) {
    private static final String ENDING = ".pdf";

    /** {@return the files of the set to be printed that belong to a set for the screen} */
    public static PaperFiles beside(Path screen) {
        return new PaperFiles(named(screen, "paper", ENDING), named(screen, "printing order", ".docx"),
                named(screen, "spine labels", ENDING));
    }

    private static Path named(Path screen, String what, String ending) {
        String name = String.valueOf(screen.getFileName());
        String stem = name.toLowerCase(Locale.ROOT).endsWith(ENDING) ? name.substring(0, name.length() - ENDING.length()) : name;
        return screen.resolveSibling(stem + " (" + what + ")" + ending);
    }

    /**
     * Writes what goes with the PDF that was printed.
     *
     * @param plan     with the leaves that only paper has
     * @param progress counts pages that are looked at for colour
     * @throws FindingException if they cannot be written
     */
    public void writeOthers(Bundle bundle, Plan plan, PageRenderer renderer, Progress progress, BooleanSupplier stop)
            throws FindingException {
        PrintingOrder printing = new PrintingOrder(bundle.heading(), bundle.layout().paper(), plan, Output.paper(plan));
        Set<Integer> coloured = printing.coloured(renderer, progress, stop);
        if (stop.getAsBoolean()) return;
        printing.write(bundle.sourcesById(), coloured, order);
        SpineLabels.write(bundle.heading(), printing.binders(), labels);
    }
}
