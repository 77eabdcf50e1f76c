package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.check.Findings;
import aficion.size.Assessment;
import org.junit.jupiter.api.Test;

class JobCodecTest {
    @Test
    void demo() throws Exception {
        var job = DemoJobs.find("roadster").orElseThrow();
        assertThat(JobCodec.read(JobCodec.write(job))).isEqualTo(job);
        for (int i = 0; i < 5; i++) {
            long t = System.nanoTime();
            var a = Assessment.of(job);
            System.out.println(
                    (System.nanoTime() - t) / 1e6 + " ms, troubles " + a.worst().troubles());
        }
        var a = Assessment.of(job);
        Findings.of(a).forEach(System.out::println);
        a.sizings()
                .values()
                .forEach(s ->
                        System.out.printf(
                                "%s %s I=%.2f held=%.1f carries=%.1f short=%.0f drop=%.3f/%.2f L=%.2f needed=%s %s guard=%s%n",
                                s.wire().number(),
                                s.wire().size(),
                                s.steady().value(),
                                s.held().value(),
                                s.carries().result().value(),
                                s.carriesShortly().result().value(),
                                s.drop().result().value(),
                                s.drop().limit().get().value().value(),
                                s.path().length().value(),
                                s.needed().map(c -> c.size()),
                                s.reason(),
                                a.guard(s.wire().id())
                                        .fuse()
                                        .map(f -> f.seat() + " " + f.marking().value())));
    }
}
