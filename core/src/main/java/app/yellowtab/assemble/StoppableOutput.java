package app.yellowtab.assemble;

import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.function.BooleanSupplier;

/** Asks at every write whether to stop, so that the long saving of a bundle can be stopped too. */
final class StoppableOutput extends FilterOutputStream {
    /** Thrown out of the saving when it is to stop. */
    static final class Stopped extends IOException {
        private static final long serialVersionUID = 1L;
    }

    private final BooleanSupplier stop;

    StoppableOutput(OutputStream out, BooleanSupplier stop) {
        super(out);
        this.stop = stop;
    }

    @Override
    public void write(int b) throws IOException {
        check();
        out.write(b);
    }

    @Override
    public void write(byte[] bytes, int offset, int length) throws IOException {
        check();
        out.write(bytes, offset, length);
    }

    private void check() throws Stopped {
        if (stop.getAsBoolean()) throw new Stopped();
    }
}
