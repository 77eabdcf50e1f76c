package aficion.check;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.catalogue.Conductors;
import aficion.check.finding.Finding;
import aficion.job.Design;
import aficion.job.DesignBuilder;
import aficion.job.Terminal;
import aficion.job.edit.WireEdit;
import aficion.quantity.Metres;
import aficion.route.RunLength;
import aficion.size.Assessment;
import java.util.List;

/** What tests of rules say of a design: that a mistake is found, or not, and is mended. */
final class Mistake {
    private Mistake() {}

    static <F extends Finding> List<F> found(Design design, Class<F> kind) {
        return Findings.of(Assessment.of(design)).stream()
                .filter(kind::isInstance)
                .map(kind::cast)
                .toList();
    }

    static <F extends Finding> List<F> found(DesignBuilder builder, Class<F> kind) {
        return found(builder.build(), kind);
    }

    /** The one finding of its kind. */
    static <F extends Finding> F only(DesignBuilder builder, Class<F> kind) {
        var all = found(builder, kind);
        assertThat(all).hasSize(1);
        return all.getFirst();
    }

    static void none(DesignBuilder builder, Class<? extends Finding> kind) {
        assertThat(found(builder, kind)).isEmpty();
    }

    /** The first remedy leaves nothing of the kind. */
    static void mends(DesignBuilder builder, Finding finding) {
        var mended = finding.remedies().getFirst().apply(builder.build());
        assertThat(found(mended, finding.getClass())).isEmpty();
    }

    /**
     * Nothing of the kind until the last wire at a terminal is long and thin, and nothing again
     * when it no longer is; the same as if each were judged by itself.
     */
    static void comesWithALongLead(
            DesignBuilder builder, String terminal, Class<? extends Finding> kind) {
        var design = builder.build();
        var lead = design.wiresAt(Terminal.parse(terminal).orElseThrow()).getLast();
        var thinnest = Conductors.of(lead.size().standard()).getFirst().size();
        var longer =
                new WireEdit.SetLength(lead.id(), new RunLength.Measured(new Metres(100)))
                        .apply(new WireEdit.Resize(lead.id(), thinnest).apply(design));
        var first = Assessment.of(design);
        var before = about(first);
        var after = first.after(longer);
        assertThat(Findings.of(first)).noneMatch(kind::isInstance);
        assertThat(Findings.of(after)).anyMatch(kind::isInstance);
        assertThat(about(after)).isEqualTo(about(Assessment.of(longer)));
        assertThat(about(after.after(design))).isEqualTo(before);
    }

    private static List<Object> about(Assessment assessment) {
        return Findings.of(assessment).stream().<Object>map(Finding::about).toList();
    }
}
