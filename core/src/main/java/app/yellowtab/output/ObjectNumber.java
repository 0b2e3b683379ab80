package app.yellowtab.output;

import org.apache.pdfbox.cos.COSDictionary;

/** Stands for an object of the produced file by its number, wherever another refers to it; a leaf's is its bundle number. */
public final class ObjectNumber extends COSDictionary {
    private final int number;

    /** @param number counted from 1 */
    public ObjectNumber(int number) {
        this.number = number;
    }

    public int number() {
        return number;
    }
}
