/** The window. */
module app.yellowtab.desktop {
    requires app.yellowtab.core;
    requires java.desktop;
    requires javafx.controls;
    requires atlantafx.base;
    requires com.github.benmanes.caffeine;
    requires org.kordamp.ikonli.core;
    requires org.kordamp.ikonli.javafx;
    requires org.kordamp.ikonli.feather;
    requires org.slf4j;

    exports app.yellowtab.desktop to javafx.graphics;
}
