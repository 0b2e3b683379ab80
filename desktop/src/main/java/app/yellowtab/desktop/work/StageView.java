package app.yellowtab.desktop.work;

/** What a stage shows in the middle of the window; a node. */
public interface StageView {
    /** Puts the keyboard where work begins. */
    void begin();

    /**
     * Does what keys mean here.
     *
     * @param typing whether a text is being typed
     * @return whether they meant something
     */
    boolean run(Shortcut shortcut, boolean typing);

    /** Ends what it listens to. */
    void dispose();
}
