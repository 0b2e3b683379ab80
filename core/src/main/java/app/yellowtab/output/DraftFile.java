package app.yellowtab.output;

import java.io.Closeable;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Path;

/** A file that is being written from its start to its end, and can be read back meanwhile. */
public interface DraftFile extends Closeable {
    /** Appends all of the bytes. */
    void write(ByteBuffer bytes) throws IOException;

    /** Appends a part of another file. */
    void append(FileChannel from, long start, long count) throws IOException;

    /** Fills the buffer from what was written at an offset; what is not there yet is not filled. */
    void read(ByteBuffer into, long offset) throws IOException;

    /** {@return an existing file, emptied; when it is closed, what was written is on the disk itself} */
    static DraftFile open(Path file) throws IOException {
        return new DurableDraft(file);
    }
}
