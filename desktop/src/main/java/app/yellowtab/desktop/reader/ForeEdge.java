package app.yellowtab.desktop.reader;

import app.yellowtab.desktop.look.Controls;
import app.yellowtab.desktop.look.Styles;
import app.yellowtab.desktop.look.Words;
import app.yellowtab.desktop.work.Workspace;
import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.PlannedEntry;
import app.yellowtab.leaf.PlannedEntry.PlannedDocument;
import app.yellowtab.leaf.PlannedEntry.PlannedSection;
import app.yellowtab.leaf.PlannedVolume;
import app.yellowtab.plan.Plan;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Skin;
import javafx.scene.control.SkinBase;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.util.Subscription;
import org.jspecify.annotations.Nullable;

/** The file seen from the side: sections as bands as thick as their share of the pages, their tabs sticking out. */
public final class ForeEdge extends Control {
    private final Workspace workspace;
    private final Subscription subscription;
    private boolean filled;

    public ForeEdge(Workspace workspace) {
        this.workspace = workspace;
        setId("fore-edge");
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.SLIDER);
        getStyleClass().add(Styles.FORE_EDGE);
        Controls.tip(this, Words.of("edge.tip"));
        addEventHandler(MouseEvent.MOUSE_PRESSED, event -> goTo(event.getY()));
        addEventHandler(MouseEvent.MOUSE_DRAGGED, event -> goTo(event.getY()));
        addEventHandler(KeyEvent.KEY_PRESSED, this::onKey);
        subscription = Subscription.combine(workspace.onPlan(plan -> requestLayout()),
                workspace.onLeaf(leaf -> {
                    setAccessibleText(Words.of("edge.at", workspace.plan().leaf(leaf).label()));
                    requestLayout();
                }));
    }

    /** Draws the file from now on; until then the edge only takes its room, so that what is beside it is there sooner. */
    public void fill() {
        filled = true;
        requestLayout();
    }

    public void dispose() {
        subscription.unsubscribe();
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new EdgeSkin(this);
    }

    /** Goes to the leaf that lies at a height, in pixels from the top. */
    private void goTo(double y) {
        requestFocus();
        Scale scale = scale();
        workspace.goTo((int) Math.floor((y - scale.top) / scale.perLeaf));
    }

    private void onKey(KeyEvent event) {
        int step = switch (event.getCode()) {
            case UP -> -1;
            case DOWN -> 1;
            case HOME -> -workspace.plan().pageCount();
            case END -> workspace.plan().pageCount();
            default -> 0;
        };
        if (step == 0 || event.isAltDown()) return;
        workspace.goTo(workspace.leaf() + step);
        event.consume();
    }

    private Scale scale() {
        double top = snappedTopInset();
        return new Scale(top, (getHeight() - top - snappedBottomInset()) / workspace.plan().pageCount());
    }

    /** Where the first leaf begins, and how many pixels each leaf is thick. */
    private record Scale(double top, double perLeaf) {
        double y(int leaf) {
            return top + leaf * perLeaf;
        }
    }

    private static final class EdgeSkin extends SkinBase<ForeEdge> {
        private static final double PAPER = 26;
        private static final double TAB_HEIGHT = 22;
        private final Region frame = new Region();
        private @Nullable Plan drawn;
        private double drawnPerLeaf;
        private final List<Label> madeTabs = new ArrayList<>();

        EdgeSkin(ForeEdge edge) {
            super(edge);
            frame.getStyleClass().add(Styles.FRAME);
            frame.setMouseTransparent(true);
            consumeMouseEvents(false);
        }

        @Override
        protected double computePrefWidth(double height, double top, double right, double bottom, double left) {
            return left + PAPER + 34 + right;
        }

        @Override
        protected void layoutChildren(double x, double y, double width, double height) {
            ForeEdge edge = getSkinnable();
            if (!edge.filled) return;
            Plan plan = edge.workspace.plan();
            Scale scale = edge.scale();
            if (plan != drawn || scale.perLeaf != drawnPerLeaf) draw(plan, scale, x, y + height);
            double thick = Math.max(4, scale.perLeaf);
            double at = scale.y(edge.workspace.leaf()) + scale.perLeaf / 2 - thick / 2;
            frame.resizeRelocate(x - 3, snapPositionY(at), PAPER + 6, snapSizeY(thick));
        }

        /** Draws the file anew; while one only leafs through it, the frame alone moves. */
        private void draw(Plan plan, Scale scale, double x, double bottom) {
            drawn = plan;
            drawnPerLeaf = scale.perLeaf;
            getChildren().clear();
            band(x, scale.y(0), plan.pageCount() * scale.perLeaf);
            boolean roomForLines = plan.documentCount() * 4 < bottom - scale.top;
            Path lines = new Path();
            List<PlannedSection> tabbed = new ArrayList<>();
            List<PlannedDocument> free = new ArrayList<>();
            for (PlannedEntry entry : plan.entries()) {
                switch (entry) {
                    case PlannedSection section when section.depth() == 0 -> {
                        band(x, scale.y(section.span().first()), section.span().count() * scale.perLeaf);
                        tabbed.add(section);
                    }
                    case PlannedSection inner -> line(lines, x, scale.y(inner.span().first()));
                    case PlannedDocument document -> {
                        if (document.document().isPlaceholder()) free.add(document);
                        if (roomForLines) line(lines, x, scale.y(document.span().first()));
                    }
                }
            }
            lines.getStyleClass().add(Styles.DOCUMENT_LINE);
            lines.setMouseTransparent(true);
            getChildren().add(lines);
            for (PlannedDocument document : free) hatch(plan, document, x, scale);
            for (PlannedVolume volume : plan.parting().volumes()) parting(volume, x, scale);
            tabs(tabbed, x, scale, bottom);
            getChildren().add(frame);
        }

        private void band(double x, double top, double thickness) {
            Region band = new Region();
            band.getStyleClass().add(Styles.BAND);
            band.setMouseTransparent(true);
            getChildren().add(band);
            band.resizeRelocate(x, snapPositionY(top), PAPER, Math.max(1, thickness));
        }

        /** Hatches the pages of a document that are still to come. */
        private void hatch(Plan plan, PlannedDocument document, double x, Scale scale) {
            int from = document.span().first();
            while (from <= document.span().last() && !(plan.leaf(from).content() instanceof Content.Slip)) from++;
            int to = document.span().last();
            while (to > from && !(plan.leaf(to).content() instanceof Content.Slip)) to--;
            Region hatched = new Region();
            hatched.getStyleClass().add(Styles.FREE_BAND);
            hatched.setMouseTransparent(true);
            getChildren().add(hatched);
            hatched.resizeRelocate(x + 1, snapPositionY(scale.y(from)), PAPER - 2, Math.max(2, (to - from + 1) * scale.perLeaf));
        }

        /** Draws a gap where a volume begins, as between two books that stand side by side. */
        private void parting(PlannedVolume volume, double x, Scale scale) {
            Label gap = Controls.label("", Styles.PARTING);
            Controls.tip(gap, volume.words());
            getChildren().add(gap);
            gap.resizeRelocate(x - 2, snapPositionY(scale.y(volume.first())) - 2, PAPER + 4, 4);
        }

        private void line(Path lines, double x, double y) {
            lines.getElements().addAll(new MoveTo(x + 1, snapPositionY(y) + 0.5),
                    new LineTo(x + PAPER - 1, snapPositionY(y) + 0.5));
        }

        /** Tabs stand at their sections; where those are thinner than a tab, each is moved below the one before. */
        private void tabs(List<PlannedSection> sections, double x, Scale scale, double bottom) {
            double step = Math.min(TAB_HEIGHT + 2, (bottom - scale.top) / Math.max(1, sections.size()));
            double free = scale.top;
            for (int i = 0; i < sections.size(); i++) {
                PlannedSection section = sections.get(i);
                double latest = bottom - (sections.size() - i) * step;
                double top = Math.max(free, Math.min(scale.y(section.span().first()), latest));
                Label tab = tab(i);
                tab.setText(section.label());
                Controls.tip(tab, section.label() + "  " + section.title());
                tab.setOnMousePressed(event -> {
                    getSkinnable().workspace.goTo(section.span().first());
                    event.consume();
                });
                getChildren().add(tab);
                tab.resizeRelocate(x + PAPER, snapPositionY(top), 30, Math.min(TAB_HEIGHT, step));
                free = top + step;
            }
        }

        /** {@return the n-th tab; tabs are kept, with what the mouse has made of them} */
        private Label tab(int n) {
            while (madeTabs.size() <= n) madeTabs.add(Controls.label("", Styles.EDGE_TAB));
            return madeTabs.get(n);
        }
    }
}
