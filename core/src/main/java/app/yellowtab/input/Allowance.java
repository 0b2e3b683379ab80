package app.yellowtab.input;

import java.io.IOException;
import java.time.Duration;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.contentstream.operator.OperatorName;
import org.jspecify.annotations.Nullable;

/**
 * How much work a page, and the file that it is in, may make: so many bytes unpacked, so many operators. A file of a few
 * megabytes can ask for hours of it. What is spent for a page is spent for its file. For one thread at a time.
 */
public final class Allowance {
    /**
     * Chosen by us: a page of a map at its largest unpacks to some 40 MB and has five million operators; the proof unpacks a
     * page twice.
     */
    private static final long PAGE_BYTES = 320L << 20;
    private static final long PAGE_OPERATORS = 10_000_000;
    /** To enter a form takes as long as so many other operators; measured. */
    private static final int FORM_COST = 100;
    /** Chosen by us: text unpacks to some ten times its size. */
    private static final long FILE_BYTES = 1L << 30;
    private static final long FILE_BYTES_A_BYTE = 60;
    private static final long FILE_OPERATORS_A_PAGE_OF_WORK = 200_000;

    private static final long AGES = Long.MAX_VALUE / 4;

    private static final ScopedValue<Allowance> CURRENT = ScopedValue.newInstance();

    private final @Nullable Allowance file;
    private long bytes;
    private long operators;
    private final long deadline;

    private Allowance(@Nullable Allowance file, long bytes, long operators, long deadline) {
        this.file = file;
        this.deadline = deadline;
        this.bytes = bytes;
        this.operators = operators;
    }

    /** @param length of the file in bytes */
    public static Allowance ofFile(long length) {
        return new Allowance(null, FILE_BYTES + length * FILE_BYTES_A_BYTE,
                10 * PAGE_OPERATORS + length / 1000 * FILE_OPERATORS_A_PAGE_OF_WORK, System.nanoTime() + AGES);
    }

    /** {@return the allowance of one page in a file} */
    Allowance ofPage() {
        return new Allowance(this, PAGE_BYTES, PAGE_OPERATORS, deadline);
    }

    /** {@return the same, and no more time than given: for what is only to be seen} */
    public Allowance ofPageToSee(Duration time) {
        return new Allowance(this, PAGE_BYTES, PAGE_OPERATORS, System.nanoTime() + time.toNanos());
    }

    /** Does something on this allowance. */
    public <T> T on(ScopedValue.CallableOp<T, IOException> work) throws IOException {
        return ScopedValue.where(CURRENT, this).call(work);
    }

    /**
     * Spends bytes that were unpacked, where there is an allowance.
     *
     * @throws TooMuchException if it is used up
     */
    static void spendBytes(int count) throws TooMuchException {
        if (CURRENT.isBound()) CURRENT.get().spend(count, 0);
    }

    /**
     * Spends one step through a page's content, where there is an allowance.
     *
     * @throws TooMuchException if it is used up
     */
    public static void spendStep() throws TooMuchException {
        if (CURRENT.isBound()) CURRENT.get().spend(0, 1);
    }

    /**
     * Spends what an operator of a page's content takes, where there is an allowance; to draw a form or a picture by its name
     * takes more.
     *
     * @throws TooMuchException if it is used up
     */
    public static void spend(Operator operator) throws TooMuchException {
        if (CURRENT.isBound()) CURRENT.get().spend(0, operator.getName().equals(OperatorName.DRAW_OBJECT) ? FORM_COST : 1);
    }

    private void spend(int moreBytes, int moreOperators) throws TooMuchException {
        bytes -= moreBytes;
        operators -= moreOperators;
        if (bytes < 0 || operators < 0 || System.nanoTime() - deadline > 0)
            throw new TooMuchException(file == null ? "the file asks for more work than any honest one does"
                    : "the page asks for more work than any honest one does");
        if (file != null) file.spend(moreBytes, moreOperators);
    }
}
