package app.yellowtab.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.yellowtab.leaf.Content;
import app.yellowtab.leaf.PlannedVolume;
import app.yellowtab.model.Bundle;
import app.yellowtab.model.Separators;
import app.yellowtab.model.Volumes;
import app.yellowtab.model.Volumes.Division;
import app.yellowtab.testing.Bundles;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** However a bundle is divided: no page is in two volumes or in none, and no document is torn that need not be. */
class VolumeProperties {
    private static final LocalDateTime NOW = LocalDateTime.of(2031, 10, 6, 9, 0);

    private static Bundle bundle(List<Integer> lengths, Separators separators, Volumes volumes) {
        List<Object> entries = new ArrayList<>();
        List<Object> section = new ArrayList<>();
        for (int i = 0; i < lengths.size(); i++) {
            section.add(Bundles.document("d" + i, lengths.get(i)));
            // Sections of two documents, behind one that stands in none.
            if (i == 0 || section.size() == 2 || i == lengths.size() - 1) {
                if (i == 0) entries.addAll(section);
                else entries.add(Bundles.section("s" + i, section.toArray()));
                section.clear();
            }
        }
        Bundle made = Bundles.bundle(entries.toArray());
        return made.withLayout(made.layout().withSeparators(separators).withVolumes(volumes));
    }

    private static int front(Plan plan) {
        return (int) plan.leaves().stream()
                .filter(leaf -> leaf.content() instanceof Content.Cover || leaf.content() instanceof Content.IndexSheet).count();
    }

    @Property(tries = 300)
    void everyPageIsInOneVolume(@ForAll @Size(min = 1, max = 12) List<@IntRange(min = 1, max = 9) Integer> lengths,
            @ForAll Separators separators, @ForAll @IntRange(min = 3, max = 30) int most, @ForAll boolean cutLong) {
        Bundle bundle = bundle(lengths, separators, Volumes.atMost(Division.PAGES, most).withCutLong(cutLong));
        Plan plan = Planner.plan(bundle, NOW);
        List<PlannedVolume> volumes = plan.parting().volumes();
        int next = front(plan);
        for (PlannedVolume volume : volumes) {
            assertThat(volume.first()).isEqualTo(next);
            next = volume.last() + 1;
            int pages = front(plan) + volume.last() - volume.first() + 1;
            boolean isOneDocument = plan.leaves().subList(volume.first(), volume.last() + 1).stream()
                    .filter(leaf -> !(leaf.content() instanceof Content.SectionTitle))
                    .map(leaf -> plan.entryAt(leaf.index()).orElseThrow().id()).distinct().count() <= 1;
            if (pages > most) assertThat(isOneDocument && !cutLong).as("%s of %s pages", volume.title(), pages).isTrue();
            assertThat(plan.leaf(volume.last()).content()).as("a title does not stand last").satisfiesAnyOf(
                    content -> assertThat(content).isNotInstanceOf(Content.SectionTitle.class),
                    content -> assertThat(most - front(plan)).isLessThan(3));
            if (!cutLong && volume.first() > front(plan)) assertThat(plan.entryAt(volume.first()))
                    .as("parts between documents").isNotEqualTo(plan.entryAt(volume.first() - 1));
        }
        if (!volumes.isEmpty()) assertThat(next).isEqualTo(plan.pageCount());
        Bundle kept = bundle.withLayout(bundle.layout().withVolumes(bundle.layout().volumes().withKept(plan.starts())));
        assertThat(Planner.plan(kept, NOW).parting()).as("kept, it is divided the same").isEqualTo(plan.parting());
        assertThat(Planner.paper(kept, NOW).lastNumber()).as("the paper set has the same numbers").isEqualTo(plan.lastNumber());
    }
}
