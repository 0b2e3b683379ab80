package app.yellowtab.desktop.look;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import org.junit.jupiter.api.Test;

class ControlsTests {
    @Test
    void whatIsHiddenComesIntoItsPaneAtItsPlaceWhenItIsFirstShownAndStays() {
        Region first = new Region();
        Region second = new Region();
        Region third = new Region();
        Region fourth = new Region();
        Pane pane = new Pane(first, second, third, fourth);
        Controls.show(first, false);
        Controls.show(third, false);
        Controls.attachWhenShown(pane, first, second, third);
        assertThat(pane.getChildren()).containsExactly(second, fourth);
        Controls.show(third, true);
        assertThat(pane.getChildren()).containsExactly(second, third, fourth);
        Controls.show(third, false);
        Controls.show(first, true);
        assertThat(pane.getChildren()).containsExactly(first, second, third, fourth);
    }
}
