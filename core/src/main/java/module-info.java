/** Everything that computes: from a folder of files to a numbered bundle. Knows no window. */
module app.yellowtab.core {
    requires transitive org.jspecify;
    requires org.apache.pdfbox;
    requires org.apache.pdfbox.io;
    requires org.apache.fontbox;
    requires org.apache.tika.core;
    requires com.drew.metadata;
    requires com.dynatrace.hash4j;
    requires com.google.zxing;
    requires re2j;    // an automatic module, by its file
    requires org.apache.poi.poi;
    requires org.apache.poi.ooxml;
    requires org.apache.poi.scratchpad;
    requires openhtmltopdf.core;
    requires openhtmltopdf.pdfbox;
    requires openhtmltopdf.slf4j;
    requires de.rototor.pdfbox.graphics2d;
    requires org.jsoup;
    requires jakarta.activation;
    requires jakarta.mail;
    requires rtfparserkit;
    requires org.apache.commons.csv;
    requires com.github.albfernandez.juniversalchardet;
    requires jodconverter.core;
    requires jodconverter.local;
    requires org.libreoffice.uno;
    requires java.xml;
    requires com.fasterxml.jackson.annotation;
    requires tools.jackson.core;
    requires tools.jackson.databind;
    requires java.sql;    // Tika names a class of it and does not say so
    requires org.slf4j;
    requires transitive java.desktop;

    exports app.yellowtab.finding;
    exports app.yellowtab.files;
    exports app.yellowtab.facts;
    exports app.yellowtab.model;
    exports app.yellowtab.model.cut;
    exports app.yellowtab.model.number;
    exports app.yellowtab.model.page;
    exports app.yellowtab.model.source;
    exports app.yellowtab.mark;
    opens app.yellowtab.facts to tools.jackson.databind;
    opens app.yellowtab.model to tools.jackson.databind;
    opens app.yellowtab.mark to tools.jackson.databind;
    opens app.yellowtab.model.cut to tools.jackson.databind;
    opens app.yellowtab.model.number to tools.jackson.databind;
    opens app.yellowtab.model.page to tools.jackson.databind;
    opens app.yellowtab.model.source to tools.jackson.databind;
    opens app.yellowtab.store to tools.jackson.databind;
    exports app.yellowtab.edit;
    exports app.yellowtab.cut;
    exports app.yellowtab.pdf to app.yellowtab.desktop;
    exports app.yellowtab.convert;
    exports app.yellowtab.source;
    exports app.yellowtab.plan;
    exports app.yellowtab.assemble;
    exports app.yellowtab.ledger;
    exports app.yellowtab.draw;
    exports app.yellowtab.picture;
    exports app.yellowtab.prove;
    exports app.yellowtab.deliver;
    exports app.yellowtab.store;
    exports app.yellowtab.sample;
}
