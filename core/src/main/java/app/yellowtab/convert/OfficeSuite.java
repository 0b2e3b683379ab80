package app.yellowtab.convert;

import app.yellowtab.convert.page.Notes;
import app.yellowtab.files.Drafts;
import app.yellowtab.files.Folders;
import app.yellowtab.files.WorkFolder;
import app.yellowtab.finding.Finding.Code;
import app.yellowtab.model.Reading;
import app.yellowtab.model.source.SourceKind;
import com.sun.star.beans.PropertyValue;
import com.sun.star.document.XRedlinesSupplier;
import com.sun.star.frame.XDispatchHelper;
import com.sun.star.frame.XDispatchProvider;
import com.sun.star.frame.XModel;
import com.sun.star.uno.UnoRuntime;
import com.sun.star.uno.XComponentContext;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jodconverter.core.document.DefaultDocumentFormatRegistry;
import org.jodconverter.core.document.DocumentFormat;
import org.jodconverter.core.office.OfficeException;
import org.jodconverter.core.office.OfficeManager;
import org.jodconverter.local.LocalConverter;
import org.jodconverter.local.filter.Filter;
import org.jodconverter.local.office.LocalOfficeContext;
import org.jodconverter.local.office.LocalOfficeManager;
import org.jodconverter.local.office.LocalOfficeUtils;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * An office suite on this machine: one process, started at the first conversion, kept warm, started anew when it hangs, and
 * ended with the program. It works with a profile of its own in which macros and everything that fetches are off.
 */
final class OfficeSuite {
    private static final Logger LOG = LoggerFactory.getLogger(OfficeSuite.class);
    /** Chosen by us: a long document takes some ten seconds on a slow computer. */
    private static final long MOST_MILLIS = 120_000;
    private static final int TASKS_PER_PROCESS = 200;

    private final String version;
    private final Starting starting;
    private Optional<OfficeManager> running = Optional.empty();
    private boolean broken;

    /**
     * @param version  what tells it from others
     * @param starting starts the suite's process; called at most once
     */
    OfficeSuite(String version, Starting starting) {
        this.version = version;
        this.starting = starting;
    }

    /** Starts the process. */
    @FunctionalInterface
    interface Starting {
        OfficeManager start() throws OfficeException, IOException;
    }

    /** {@return the suite that is installed; empty where there is none} */
    static Optional<OfficeSuite> installed() {
        try {
            File home = LocalOfficeUtils.getDefaultOfficeHome();
            if (home == null) return Optional.empty();
            LocalOfficeUtils.validateOfficeHome(home);
            return Optional.of(new OfficeSuite(versionOf(home), () -> start(home)));
        } catch (IllegalStateException none) {
            LOG.info("no office suite: {}", none.getMessage());
            return Optional.empty();
        }
    }

    /** {@return what tells it from another suite, or from the same in another version} */
    String version() {
        return version;
    }

    /**
     * {@return what the suite's own file of versions says, which is there in every installation; without it, where it is
     * installed}
     */
    private static String versionOf(File home) {
        for (String name : new String[] {"program/versionrc", "program/version.ini"}) {
            try {
                for (String line : Files.readAllLines(home.toPath().resolve(name))) if (line.startsWith("buildid=")) return line;
            } catch (IOException none) {
                LOG.debug("no {} in {}", name, home, none);
            }
        }
        return home.getPath();
    }

    /**
     * Converts a file.
     *
     * @return whether it succeeded; where not, nothing is at the target, and the program's own way is to be taken
     */
    boolean convert(Path file, SourceKind kind, Path target, Reading reading, Notes notes) throws IOException {
        Optional<OfficeManager> manager = manager();
        DocumentFormat format = DefaultDocumentFormatRegistry.getFormatByExtension(kind.name().toLowerCase(Locale.ROOT));
        if (manager.isEmpty() || format == null) return false;
        Path draft = Drafts.beside(target);
        // The suite writes beside what it opens, and changes only what may be written.
        Path copy = WorkFolder.newFile("office", "." + kind.name().toLowerCase(Locale.ROOT));
        try {
            Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING);
            copy.toFile().setWritable(true);
            boolean[] changed = {false};
            LocalConverter.builder().officeManager(manager.get()).loadProperty("ReadOnly", false)
                    .filterChain(changes(reading, changed), remarks(reading, notes))
                    .storeProperty("FilterData",
                            Map.of("ExportNotes", reading.showComments(), "ExportNotesInMargin", reading.showComments(),
                                    "ExportFormFields", false))
                    .build()
                    .convert(copy.toFile()).as(format).to(draft.toFile()).as(DefaultDocumentFormatRegistry.PDF).execute();
            if (Files.size(draft) == 0) throw new OfficeException("it wrote nothing");
            Drafts.move(draft, target);
            if (changed[0]) notes.say(reading.showChanges() ? Code.CHANGES_SHOWN : Code.CHANGES_ACCEPTED, "by the office suite");
            return true;
        } catch (OfficeException e) {
            LOG.warn("the office suite did not convert {}", file, e);
            notes.lost("the office suite failed on it");
            return false;
        } finally {
            Files.deleteIfExists(copy);
            Files.deleteIfExists(draft);
        }
    }

    private synchronized Optional<OfficeManager> manager() {
        if (running.isPresent() || broken) return running;
        try {
            running = Optional.of(starting.start());
        } catch (OfficeException | IOException | RuntimeException e) {
            LOG.warn("the office suite does not start", e);
            broken = true;
        }
        return running;
    }

    private static OfficeManager start(File home) throws OfficeException, IOException {
        Path profile = profile();
        Path place = WorkFolder.newFolder("suite");
        // The suite's command line names where it works.
        Optional<OfficeGuard> guard = guard(place);
        OfficeManager manager = LocalOfficeManager.builder().officeHome(home).templateProfileDir(profile.toFile())
                .workingDir(place.toFile())
                .taskExecutionTimeout(MOST_MILLIS)
                .maxTasksPerProcess(TASKS_PER_PROCESS).build();
        manager.start();
        Runtime.getRuntime().addShutdownHook(new Thread(() -> stop(manager, profile, guard)));
        return manager;
    }

    /** Without it the suite works all the same. */
    private static Optional<OfficeGuard> guard(Path place) {
        try {
            return OfficeGuard.isPossible() ? Optional.of(OfficeGuard.over(place)) : Optional.empty();
        } catch (IOException e) {
            LOG.warn("the office suite is not guarded", e);
            return Optional.empty();
        }
    }

    private static void stop(OfficeManager manager, Path profile, Optional<OfficeGuard> guard) {
        try {
            manager.stop();
            if (guard.isPresent()) guard.get().close();
            Folders.delete(profile);
        } catch (OfficeException | IOException e) {
            LOG.warn("the office suite does not stop", e);
        }
    }

    /** Accepts what reviewers changed, unless it is to be marked, which the suite does of its own accord. */
    private static Filter changes(Reading reading, boolean[] changed) {
        return (context, document, chain) -> {
            var changes = UnoRuntime.queryInterface(XRedlinesSupplier.class, document);
            if (changes != null && changes.getRedlines().createEnumeration().hasMoreElements()) {
                changed[0] = true;
                if (!reading.showChanges())
                    accept((LocalOfficeContext) context, UnoRuntime.queryInterface(XModel.class, document));
                if (!reading.showChanges() && changes.getRedlines().createEnumeration().hasMoreElements())
                    throw new OfficeException("changes were not accepted");
            }
            chain.doFilter(context, document);
        };
    }

    private static Filter remarks(Reading reading, Notes notes) {
        return (context, document, chain) -> {
            OfficeRemarks.say(document, reading.showComments(), notes);
            chain.doFilter(context, document);
        };
    }

    private static void accept(LocalOfficeContext context, XModel model) throws com.sun.star.uno.Exception {
        XComponentContext components = Objects.requireNonNull(context.getComponentContext());
        XDispatchHelper helper = UnoRuntime.queryInterface(XDispatchHelper.class,
                components.getServiceManager().createInstanceWithContext("com.sun.star.frame.DispatchHelper", components));
        helper.executeDispatch(UnoRuntime.queryInterface(XDispatchProvider.class, model.getCurrentController().getFrame()),
                ".uno:AcceptAllTrackedChanges", "", 0, new PropertyValue[0]);
    }

    /** A profile in which nothing is fetched, linked, updated or run. */
    private static Path profile() throws IOException {
        Path folder = WorkFolder.newFolder("office");
        Path user = Files.createDirectories(folder.resolve("user"));
        String settings =
                "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<oor:items xmlns:oor=\"http://openoffice.org/2001/registry\" "
                        + "xmlns:xs=\"http://www.w3.org/2001/XMLSchema\" "
                        + "xmlns:xsi=\"http://www.w3.org/2001/XMLSchema-instance\">\n"
                        + item("Office.Common/Security/Scripting", "BlockUntrustedRefererLinks", "true")
                        + item("Office.Common/Security/Scripting", "DisableMacrosExecution", "true")
                        + item("Office.Common/Security/Scripting", "DisableActiveContent", "true")
                        + item("Office.Common/Security/Scripting", "MacroSecurityLevel", "3")
                        + item("Office.Writer/Content/Update", "Link", "0") + item("Office.Calc/Content/Update", "Link", "2")
                        + "</oor:items>\n";
        Files.writeString(user.resolve("registrymodifications.xcu"), settings, StandardCharsets.UTF_8);
        return folder;
    }

    private static String item(String path, String name, String value) {
        return "<item oor:path=\"/org.openoffice." + path + "\"><prop oor:name=\"" + name + "\" oor:op=\"fuse\"><value>" + value
                + "</value></prop></item>\n";
    }
}
