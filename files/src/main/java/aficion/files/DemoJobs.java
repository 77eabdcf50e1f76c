package aficion.files;

import aficion.job.Job;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;

/** The made-up jobs that ship with the program. */
public final class DemoJobs {
    private static final List<String> NAMES = List.of("roadster", "motorcycle", "tractor");

    private DemoJobs() {}

    public static List<String> names() {
        return NAMES;
    }

    /** The demo job of that name, when there is one. */
    public static Optional<Job> find(String name) {
        if (!NAMES.contains(name)) {
            return Optional.empty();
        }
        try (var stream =
                DemoJobs.class.getResourceAsStream("/aficion/demo/" + name + JobStore.SUFFIX)) {
            return Optional.of(
                    JobCodec.read(new String(stream.readAllBytes(), StandardCharsets.UTF_8)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
