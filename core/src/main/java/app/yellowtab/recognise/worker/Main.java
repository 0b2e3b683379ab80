package app.yellowtab.recognise.worker;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.tesseract.TessBaseAPI;
import org.bytedeco.tesseract.global.tesseract;

/**
 * A program of its own that reads pictures, so that native code that crashes or hangs takes nothing along. It reads from its
 * standard input: width, height, dots an inch, whether there are columns, and the pixels; and answers on its standard output with
 * the length of a table, and the table, or with -1, and a message. First of all it says the engine's version.
 */
public final class Main {
    private Main() {}

    /** @param arguments the folder with the languages' data, and the languages, such as {@code eng+deu} */
    public static void main(String[] arguments) throws IOException {
        PrintStream answers = System.out;
        // Whatever else is printed must not get between the answers.
        System.setOut(System.err);
        try (DataInputStream in = new DataInputStream(new BufferedInputStream(System.in, 1 << 16));
                DataOutputStream out = new DataOutputStream(new BufferedOutputStream(answers, 1 << 16));
                TessBaseAPI engine = new TessBaseAPI()) {
            if (engine.Init(Path.of(arguments[0]).toString(), arguments[1]) != 0) {
                say(out, -1, "the data of " + arguments[1] + " cannot be used");
                return;
            }
            say(out, 0, TessBaseAPI.Version().getString());
            while (true) answer(engine, in, out);
        } catch (EOFException end) {
            // Nobody wants more.
        }
    }

    private static void answer(TessBaseAPI engine, DataInputStream in, DataOutputStream out) throws IOException {
        int width = in.readInt();
        int height = in.readInt();
        int dpi = in.readInt();
        boolean columns = in.readBoolean();
        byte[] pixels = new byte[width * height];
        in.readFully(pixels);
        try (BytePointer picture = new BytePointer(pixels)) {
            engine.SetPageSegMode(columns ? tesseract.PSM_AUTO : tesseract.PSM_SINGLE_BLOCK);
            engine.SetImage(picture, width, height, 1, width);
            engine.SetSourceResolution(dpi);
            try (BytePointer table = engine.GetTSVText(0)) {
                if (table == null || table.isNull()) say(out, -1, "nothing came of it");
                else say(out, 0, table.getString(StandardCharsets.UTF_8));
            }
            engine.Clear();
        }
    }

    private static void say(DataOutputStream out, int mark, String words) throws IOException {
        byte[] bytes = words.getBytes(StandardCharsets.UTF_8);
        out.writeInt(mark);
        out.writeInt(bytes.length);
        out.write(bytes);
        out.flush();
    }
}
