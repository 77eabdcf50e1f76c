package aficion.check;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.finding.Finding;
import aficion.job.Design;
import aficion.job.DesignBuilder;
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
}
