package app.yellowtab.desktop.work;

/** A stage of the work; each is one screen. */
public enum Stage {
    GATHER, CUT, ARRANGE, NUMBER, PRODUCE
}
