package app.yellowtab.sample.paper;

import app.yellowtab.pdf.Canvas;
import app.yellowtab.pdf.FontSet;
import app.yellowtab.pdf.Typeface;
import app.yellowtab.pdf.Units;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/**
 * A week's post in one pile: letters, printed e-mails, invoices, forms, statements and notes by many hands, one behind the other;
 * made up, and it is known where each begins.
 */
public final class RehearsalPost {
    private static final String[] FIRMS = {"Carrow & Dunnock Solicitors", "Brightwick Cold Stores Ltd",
            "Tarn Hollow Orchards Ltd", "Fennick Refrigeration", "Aldermere District Council", "Upper Sedge Growers",
            "Wrenfield Haulage Ltd", "Ashgrove Insurance plc", "Selwyn Carrow, Engineer", "Hollin Bank Packaging"};
    private static final String[] PEOPLE = {"Orla Fennick", "Tobias Wrenfield", "Maud Ashgrove", "Piers Dunnock", "Selwyn Carrow",
            "Ines Hollin", "Gareth Sedge", "Petra Brill"};
    private static final String[] PLACES =
            {"4 Mill Lane, Aldermere", "Sedge House, Upper Sedge", "19 Station Road, Brightwick", "The Old Dairy, Hollin Bank"};
    private static final String[] MATTERS =
            {"Chamber 3, October failure", "Your claim against Brightwick Cold Stores Ltd", "Storage agreement of 2 June 2030",
                    "Inspection of the fan motors", "Insurance policy AG 4471", "Costs to date", "Hearing on 14 May 2031"};
    private static final String[] SENTENCES = {
            "We refer to our telephone conversation of last week about the bins in chamber 3.",
            "The temperature rose during the night and nobody was called.",
            "Please let us have the readings for the whole of October.",
            "The engineer found the second fan motor burnt out and the alarm switched off.",
            "Our client does not accept that the agreement excludes such a loss.",
            "We enclose copies of the weighbridge slips that you asked for.",
            "The apples were inspected on the Monday and most were soft to the touch.",
            "He told me that the door had been open when he came on shift.",
            "A further invoice will follow once the repairs are complete.",
            "You will appreciate that time is short before the hearing.",
            "The matter was discussed again on 12 November 2030 without a result.",
            "Nothing in this affects what was agreed in June.",
            "I wrote to the manager the same day but had no answer.",
            "The cost of the replacement is not in dispute between the parties.",
            "Dear knows why the log shows no entry for those hours.",
            "From there the fruit was taken to the yard and weighed.", "It would help to know who held the keys that weekend."};
    private static final String[] GOODS = {"Cold storage", "Handling in", "Handling out", "Fan motor", "Call-out", "Pallet hire",
            "Readings", "Haulage", "Labels", "Inspection"};
    private static final String[] MONTHS = {"January", "February", "March", "April", "May", "June", "July", "August", "September",
            "October", "November", "December"};
    private static final Typeface[] FACES = {Typeface.SERIF, Typeface.SANS, Typeface.MONO};
    private static final float LEFT = Units.mm(25);
    private static final float RIGHT = Units.mm(185);
    private static final float MIDDLE = Units.mm(105);
    private static final float FOOT = Units.mm(28);

    private final PDDocument document;
    private final FontSet fonts;
    private final Random random;
    private Typeface face = Typeface.SERIF;
    private float size = 11;
    private float y;
    /** How many pages the document has. */
    private int begun;
    private Canvas canvas;
    /** What stands on the pages after the first, and on all. */
    private PageHead further = page -> {};

    private RehearsalPost(PDDocument document, Random random) throws IOException {
        this.document = document;
        this.fonts = FontSet.forSaving(document);
        this.random = random;
        this.canvas = new Canvas(document, new PDPage(PDRectangle.A4), fonts);
        canvas.close();
    }

    /** Sets what stands at the head or foot of a page, counted from 1 within its document. */
    @FunctionalInterface
    private interface PageHead {
        void set(int page) throws IOException;
    }

    /**
     * Writes a pile.
     *
     * @param seed the same one gives the same pile
     * @return the pages that documents begin on, counted from 1
     */
    public static List<Integer> write(Path target, int documents, long seed) throws IOException {
        List<Integer> firsts = new ArrayList<>();
        try (PDDocument document = new PDDocument()) {
            RehearsalPost post = new RehearsalPost(document, new Random(seed));
            for (int n = 0; n < documents; n++) {
                firsts.add(document.getNumberOfPages() + 1);
                post.one();
            }
            document.setDocumentId(seed);
            document.save(target.toFile());
        }
        return firsts;
    }

    private void one() throws IOException {
        face = FACES[random.nextInt(FACES.length)];
        size = 10 + random.nextInt(4) / 2f;
        begun = 0;
        further = page -> {};
        switch (random.nextInt(10)) {
            case 0, 1 -> letter();
            case 2 -> email();
            case 3 -> invoice();
            case 4 -> form();
            case 5 -> statement();
            case 6 -> report();
            case 7 -> account();
            case 8 -> jotting();
            default -> note();
        }
        canvas.close();
    }

    private void page() throws IOException {
        if (begun > 0) canvas.close();
        begun++;
        PDPage page = new PDPage(PDRectangle.A4);
        document.addPage(page);
        canvas = new Canvas(document, page, fonts);
        y = Units.mm(272);
        further.set(begun);
    }

    private String pick(String... all) {
        return all[random.nextInt(all.length)];
    }

    private String date() {
        int day = 1 + random.nextInt(28);
        int month = 1 + random.nextInt(12);
        return switch (random.nextInt(4)) {
            case 0 -> String.format(Locale.ROOT, "%02d/%02d/2030", day, month);
            case 1 -> day + " " + MONTHS[month - 1].substring(0, 3) + " 2030";
            default -> day + " " + MONTHS[month - 1] + " 2030";
        };
    }

    private void line(String words, float down) throws IOException {
        canvas.left(words, face, size, LEFT, y);
        y -= down * size;
    }

    /** Sets sentences, over as many pages as they take. */
    private void text(int sentences, boolean numbered) throws IOException {
        int number = 1;
        for (int left = sentences; left > 0; number++) {
            StringBuilder line = new StringBuilder(numbered ? number + ". " : "");
            int its = Math.min(left, 1 + random.nextInt(4));
            left -= its;
            StringBuilder all = new StringBuilder();
            for (int i = 0; i < its; i++) all.append(pick(SENTENCES)).append(' ');
            for (String word : all.toString().strip().split(" ")) {
                if (face.width(line + " " + word, size) > RIGHT - LEFT) {
                    flow(line.toString());
                    line.setLength(0);
                }
                line.append(line.isEmpty() || line.toString().endsWith(" ") ? "" : " ").append(word);
            }
            flow(line.toString());
            y -= 0.7f * size;
        }
    }

    private void flow(String words) throws IOException {
        if (y < FOOT + 2 * size) page();
        line(words, 1.4f);
    }

    private void letter() throws IOException {
        String firm = pick(FIRMS);
        boolean centred = random.nextBoolean();
        boolean numbered = random.nextInt(3) == 0;
        boolean headed = random.nextInt(3) == 0;
        String day = date();
        further = page -> {
            if (page > 1 && headed) canvas.left(firm + "   " + day, face, size - 1, LEFT, Units.mm(284));
            if (page > 1 && numbered) canvas.centre(pick("- ", "") + page, face, size, MIDDLE, Units.mm(15));
        };
        page();
        if (random.nextInt(8) > 0) {
            if (centred) canvas.centre(firm, Typeface.SANS_BOLD, 17, MIDDLE, y);
            else canvas.left(firm, Typeface.SERIF_BOLD, 16, LEFT, y);
            String place = pick(PLACES) + "  Tel. 01632 960" + (100 + random.nextInt(900));
            if (centred) canvas.centre(place, face, 9, MIDDLE, y - 18);
            else canvas.right(place, face, 9, RIGHT, y - 18);
            y -= 55;
        }
        if (random.nextBoolean()) canvas.right(day, face, size, RIGHT, y);
        else line(day, 2);
        for (String part : (pick(PEOPLE) + ", " + pick(PLACES)).split(", ")) line(part, 1.3f);
        y -= size;
        if (random.nextBoolean()) line("Our ref: " + (char) ('A' + random.nextInt(26)) + "C/" + random.nextInt(900), 2);
        line("Dear " + pick("Sirs", "Madam", "Ms Fennick", "Mr Wrenfield", "Dr Carrow", "Orla"), 2);
        if (random.nextInt(3) > 0) canvas.left(pick("Re: ", "") + pick(MATTERS),
                face == Typeface.SERIF ? Typeface.SERIF_BOLD : Typeface.SANS_BOLD, size, LEFT, y);
        y -= 2 * size;
        text(3 + random.nextInt(random.nextBoolean() ? 90 : 16), false);
        if (y < FOOT + 7 * size) page();
        y -= size;
        line(pick("Yours faithfully", "Yours sincerely", "With kind regards"), 4);
        line(pick(PEOPLE), 1.4f);
    }

    private void email() throws IOException {
        boolean footed = random.nextInt(3) == 0;
        further = page -> {
            if (footed) canvas.right(String.valueOf(page), face, 9, RIGHT, Units.mm(12));
        };
        page();
        if (random.nextBoolean()) {
            canvas.left(pick(PEOPLE), Typeface.SANS_BOLD, 13, LEFT, y);
            y -= 24;
        }
        mailHead();
        y -= size;
        text(3 + random.nextInt(30), false);
        line(pick("Regards", "Best wishes", "Thanks"), 1.5f);
        line(pick(PEOPLE).split(" ")[0], 2.5f);
        // What is answered to stands below, with a head of its own.
        for (int older = random.nextInt(3); older > 0; older--) {
            if (y < FOOT + 9 * size) page();
            if (random.nextBoolean()) line("-----Original Message-----", 1.4f);
            mailHead();
            text(3 + random.nextInt(20), false);
        }
    }

    private void mailHead() throws IOException {
        line("From: " + pick(PEOPLE), 1.4f);
        line(pick("Sent: ", "Date: ") + date() + " " + (8 + random.nextInt(10)) + ":" + (10 + random.nextInt(50)), 1.4f);
        line("To: " + pick(PEOPLE), 1.4f);
        if (random.nextInt(3) == 0) line("Cc: " + pick(PEOPLE), 1.4f);
        line("Subject: " + pick("RE: ", "FW: ", "") + pick(MATTERS), 2);
    }

    private void invoice() throws IOException {
        String firm = pick(FIRMS);
        int number = 1_000 + random.nextInt(8_000);
        int pages = random.nextBoolean() ? 2 + random.nextInt(3) : 1;
        boolean everywhere = random.nextBoolean();
        boolean counted = random.nextBoolean();
        String day = date();
        further = page -> {
            if (page == 1 || everywhere) canvas.left(firm, Typeface.SANS_BOLD, 15, LEFT, y);
            if (counted) canvas.right("Page " + page + " of " + pages, face, 9, RIGHT, y);
            y -= 34;
            if (page > 1 && everywhere) line("Invoice " + number, 2);
            if (page > 1 && !everywhere && random.nextBoolean()) line("Carried forward", 2);
        };
        page();
        canvas.right(pick("INVOICE", "Invoice", "Statement of account"), Typeface.SERIF_BOLD, 18, RIGHT, y);
        y -= 30;
        line("Invoice no. " + number, 1.4f);
        line("Date " + day, 1.4f);
        line("To " + pick(PEOPLE) + ", " + pick(PLACES), 2.5f);
        int rows = pages == 1 ? 4 + random.nextInt(12) : 22 * pages - 12;
        for (int row = 0; row < rows; row++) {
            if (y < FOOT + 4 * size && begun < pages) page();
            canvas.left(pick(GOODS) + ", " + pick("bins", "hours", "pallets"), face, size, LEFT, y);
            canvas.right(String.valueOf(1 + random.nextInt(60)), face, size, Units.mm(140), y);
            canvas.right(String.format(Locale.UK, "%,.2f", random.nextInt(90_000) / 100.0), face, size, RIGHT, y);
            y -= 2.2f * size;
        }
        canvas.right("Total due  £" + String.format(Locale.UK, "%,.2f", random.nextInt(900_000) / 100.0), face, size, RIGHT, y);
    }

    private void form() throws IOException {
        String code = "Form " + (char) ('A' + random.nextInt(20)) + (10 + random.nextInt(300));
        int pages = 1 + random.nextInt(3);
        boolean footed = random.nextBoolean();
        further = page -> {
            if (footed) canvas.left(code + (random.nextBoolean() ? "  page " + page : ""), face, 8.5f, LEFT, Units.mm(12));
        };
        page();
        canvas.left(pick("Notice of change", "Application for an extension of time", "Accident report", "Certificate of service",
                "Request for inspection"), Typeface.SANS_BOLD, 16, LEFT, y);
        canvas.right(code, Typeface.SANS, 10, RIGHT, y);
        y -= 36;
        String[] fields =
                {"Name of the court", "Claim number", "Name of claimant", "Name of defendant", "Date", "Address for service",
                        "Telephone", "What order is asked for", "Reasons", "Who should be served", "Signed", "Position held"};
        for (int page = 1; page <= pages; page++) {
            if (page > 1) page();
            for (int field = 0; field < 10; field++) {
                canvas.left((page > 1 ? field + 11 + ". " : field + 1 + ". ") + fields[(field + page * 3) % fields.length], face,
                        size, LEFT, y);
                canvas.rule(Units.mm(90), RIGHT, y - 3, 0.6f);
                if (random.nextInt(3) > 0)
                    canvas.left(pick(pick(PEOPLE), "AL-2031-00417", date(), "see attached"), face, size, Units.mm(92), y);
                y -= Units.mm(19);
            }
        }
    }

    private void statement() throws IOException {
        boolean counted = random.nextBoolean();
        further = page -> {
            if (counted)
                canvas.centre(page == 1 && random.nextBoolean() ? "" : String.valueOf(page), face, size, MIDDLE, Units.mm(14));
        };
        page();
        if (random.nextInt(4) > 0) {
            line("IN THE COUNTY COURT AT ALDERMERE", 1.4f);
            canvas.right("Claim no. AL-2031-00417", face, size, RIGHT, y);
            y -= 3 * size;
            canvas.centre("TARN HOLLOW ORCHARDS LTD", face, size, MIDDLE, y);
            canvas.centre("and", face, size, MIDDLE, y - 20);
            canvas.centre("BRIGHTWICK COLD STORES LTD", face, size, MIDDLE, y - 40);
            y -= 75;
        }
        canvas.centre(pick("WITNESS STATEMENT OF ", "FIRST WITNESS STATEMENT OF ", "REPORT OF ")
                + pick(PEOPLE).toUpperCase(Locale.ROOT), Typeface.SERIF_BOLD, 13, MIDDLE, y);
        y -= 30;
        line("I, " + pick(PEOPLE) + ", of " + pick(PLACES) + ", will say:", 2);
        text(15 + random.nextInt(140), true);
        if (y < FOOT + 6 * size) page();
        line("I believe that the facts stated in this statement are true.", 3);
        line("Signed ....................   Dated " + date(), 1.4f);
    }

    /** Its chapters begin on new pages, and its pages carry its title. */
    private void report() throws IOException {
        String title = pick("Report on the cooling of chamber 3", "Survey of the store", "Inspection of fan motors");
        boolean headed = random.nextBoolean();
        String day = date();
        further = page -> {
            if (page > 1 && headed) canvas.right(title + ", " + day, face, size - 1.5f, RIGHT, Units.mm(284));
            if (page > 1 && !headed) canvas.centre(String.valueOf(page), face, size, MIDDLE, Units.mm(14));
        };
        page();
        canvas.left(title, Typeface.SERIF_BOLD, 20, LEFT, y - Units.mm(30));
        canvas.left(pick(PEOPLE) + ", " + day, face, size, LEFT, y - Units.mm(45));
        if (random.nextBoolean()) page();
        else y -= Units.mm(65);
        int chapters = 2 + random.nextInt(3);
        for (int chapter = 1; chapter <= chapters; chapter++) {
            if (chapter > 1 && random.nextBoolean()) page();
            canvas.left(
                    (random.nextBoolean() ? chapter + ". " : "")
                            + pick("Instructions", "Findings", "What was seen", "Opinion", "Appendix"),
                    Typeface.SANS_BOLD, 15, LEFT, y);
            y -= 30;
            text(6 + random.nextInt(25), false);
        }
    }

    /** Every page has the whole head. */
    private void account() throws IOException {
        String firm = pick(FIRMS);
        String day = date();
        int pages = 1 + random.nextInt(3);
        boolean counted = random.nextInt(3) > 0;
        further = page -> {
            canvas.left(firm, Typeface.SANS_BOLD, 15, LEFT, y);
            canvas.right("Statement of account " + day, face, size, RIGHT, y - 22);
            if (counted) canvas.right("Sheet " + page, face, 9, RIGHT, y);
            y -= 50;
            line(page == 1 ? "Brought in" : "Brought forward", 2);
        };
        for (int page = 0; page < pages; page++) {
            page();
            for (int row = 0; row < (page + 1 < pages ? 22 : 5 + random.nextInt(15)); row++) {
                canvas.left(date() + "  " + pick(GOODS), face, size, LEFT, y);
                canvas.right(String.format(Locale.UK, "%,.2f", random.nextInt(90_000) / 100.0), face, size, RIGHT, y);
                y -= 2.2f * size;
            }
            line(page + 1 < pages ? "Carried forward" : "Balance", 2);
        }
    }

    /** A few words to somebody, without any form. */
    private void jotting() throws IOException {
        page();
        y -= Units.mm(random.nextInt(60));
        line(pick(PEOPLE).split(" ")[0] + pick(" - ", ", ", ": ") + "please look at this.", 2);
        text(1 + random.nextInt(6), false);
        if (random.nextBoolean()) line(pick(PEOPLE).split(" ")[0], 2);
    }

    private void note() throws IOException {
        page();
        canvas.left(pick("Attendance note", "Note of meeting", "Memorandum", "Minutes"), Typeface.SANS_BOLD, 14, LEFT, y);
        y -= 28;
        line("Date: " + date(), 1.4f);
        line(pick("Present: ", "To: ", "Attending: ") + pick(PEOPLE) + ", " + pick(PEOPLE), 1.4f);
        line(pick("Matter: ", "Subject: ", "Re: ") + pick(MATTERS), 2);
        text(4 + random.nextInt(70), random.nextBoolean());
    }
}
