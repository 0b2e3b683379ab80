package app.yellowtab.bench;

/** Says one line; what the command line is compared with. */
final class EmptyProgram {
    private EmptyProgram() {}

    /** @param arguments none */
    public static void main(String[] arguments) {
        System.out.println("empty");
    }
}
