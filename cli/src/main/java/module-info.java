/** The command line. */
module app.yellowtab.cli {
    requires app.yellowtab.core;
    requires info.picocli;

    opens app.yellowtab.cli to info.picocli;
    opens app.yellowtab.cli.option to info.picocli;
}
