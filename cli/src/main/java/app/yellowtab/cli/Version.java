package app.yellowtab.cli;

import picocli.CommandLine.IVersionProvider;

/** Says which version this is; the number comes from the build. */
final class Version implements IVersionProvider {
    @Override
    public String[] getVersion() {
        String built = Version.class.getPackage().getImplementationVersion();
        return new String[] {"Yellow Tab " + (built == null ? "(not packaged)" : built),
                "Java " + Runtime.version() + ", " + System.getProperty("os.name")};
    }
}
