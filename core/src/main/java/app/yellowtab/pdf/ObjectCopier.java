package app.yellowtab.pdf;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.IdentityHashMap;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSNull;
import org.apache.pdfbox.cos.COSObject;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;

/**
 * Copies objects of one document into another: everything reached is copied once, encoded streams unread.
 * A page is only ever reached as the leaf that {@link #putPage} names; a page that is none is not reached at all.
 * Works through a list instead of recursion, so that deep nesting cannot exhaust the stack.
 */
final class ObjectCopier {
    /** Entries that belong to the old document or to the program that made it, not to what is seen. */
    private static final Set<COSName> LEFT_BEHIND = Set.of(COSName.STRUCT_PARENT, COSName.STRUCT_PARENTS,
            COSName.METADATA, COSName.getPDFName("PieceInfo"), COSName.getPDFName("LastModified"),
            COSName.getPDFName("AA"), COSName.getPDFName("Thumb"));

    private final PDDocument target;
    private final Map<COSBase, COSBase> copies = new IdentityHashMap<>();
    private final Deque<Runnable> unfilled = new ArrayDeque<>();

    ObjectCopier(PDDocument target) {
        this.target = target;
    }

    /** Says which leaf a page of the source has become. */
    void putPage(COSDictionary sourcePage, COSDictionary leaf) {
        copies.put(sourcePage, leaf);
    }

    /** {@return the copy of an object and of all that it reaches; null objects come back as {@code COSNull}} */
    COSBase copy(COSBase original) throws IOException {
        COSBase copy = shell(original);
        try {
            for (Runnable fill; (fill = unfilled.poll()) != null; ) fill.run();
        } catch (CopyFailure failure) {
            unfilled.clear();
            throw failure.reason;
        }
        return copy;
    }

    private COSBase shell(COSBase object) {
        COSBase real = object instanceof COSObject reference ? reference.getObject() : object;
        if (real == null) return COSNull.NULL;
        COSBase known = copies.get(real);
        if (known != null) return known;
        boolean shared = object instanceof COSObject;
        return switch (real) {
            case COSStream stream -> remember(real, stream(stream));
            case COSDictionary dictionary when isPageNode(dictionary) -> COSNull.NULL;
            case COSDictionary dictionary -> remember(real, dictionary(dictionary, shared));
            case COSArray array -> {
                COSArray copy = array(array);
                yield remember(real, shared ? new COSObject(copy) : copy);
            }
            default -> real;
        };
    }

    private COSBase remember(COSBase original, COSBase copy) {
        copies.put(original, copy);
        return copy;
    }

    private COSDictionary dictionary(COSDictionary original, boolean shared) {
        COSDictionary copy = new COSDictionary();
        copy.setDirect(!shared);
        unfilled.add(() -> fill(original, copy));
        return copy;
    }

    private COSArray array(COSArray original) {
        COSArray copy = new COSArray();
        copy.setDirect(true);
        unfilled.add(() -> {
            for (int i = 0; i < original.size(); i++) copy.add(shell(original.get(i)));
        });
        return copy;
    }

    private COSStream stream(COSStream original) {
        COSStream copy = target.getDocument().createCOSStream();
        unfilled.add(() -> {
            try (InputStream in = original.createRawInputStream(); OutputStream out = copy.createRawOutputStream()) {
                in.transferTo(out);
            } catch (IOException e) {
                throw new CopyFailure(e);
            }
            fill(original, copy);
        });
        return copy;
    }

    private void fill(COSDictionary original, COSDictionary copy) {
        original.entrySet().forEach(entry -> {
            if (LEFT_BEHIND.contains(entry.getKey()) || entry.getKey().equals(COSName.LENGTH)) return;
            copy.setItem(entry.getKey(), shell(entry.getValue()));
        });
    }

    private static boolean isPageNode(COSDictionary dictionary) {
        COSBase type = dictionary.getDictionaryObject(COSName.TYPE);
        return COSName.PAGE.equals(type) || COSName.PAGES.equals(type) || COSName.CATALOG.equals(type);
    }

    /** Carries a read error out of the work list. */
    private static final class CopyFailure extends RuntimeException {
        private static final long serialVersionUID = 1L;
        private final transient IOException reason;

        CopyFailure(IOException reason) {
            super(reason);
            this.reason = reason;
        }
    }
}
