package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.job.Job;
import aficion.job.Vehicle;
import aficion.job.edit.WireEdit;
import aficion.quantity.UserUnits;
import aficion.quantity.Volts;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Files that are damaged anyhow are refused in words, and a save that is killed leaves a whole
 * file. So many trials are made as {@code aficion.trials} says, a few in every run.
 */
class DamageTest {
    private static final int TRIALS = Integer.getInteger("aficion.trials", 150);
    private static final int KILLS = Math.clamp(TRIALS / 50, 3, 40);
    private static final String[] ODD = {
        "null",
        "-1",
        "1e999",
        "\"\"",
        "[]",
        "{}",
        "true",
        "\u0000",
        "\"\ud83d\ude97\"",
        ",",
        "}",
        "]"
    };

    private final Random random = new Random(20261126);

    @TempDir Path folder;

    /** A text with a few of its bytes gone, doubled or exchanged for something odd. */
    private String damaged(String text) {
        var broken = new StringBuilder(text);
        for (int i = random.nextInt(4); i >= 0 && !broken.isEmpty(); i--) {
            int at = random.nextInt(broken.length());
            int to = Math.min(broken.length(), at + 1 + random.nextInt(12));
            switch (random.nextInt(4)) {
                case 0 -> broken.delete(at, to);
                case 1 -> broken.insert(at, broken.substring(at, to));
                case 2 -> broken.replace(at, to, ODD[random.nextInt(ODD.length)]);
                default -> broken.setLength(at);
            }
        }
        return broken.toString();
    }

    private void eachRefusedInWords(String text, Reading reading, Class<? extends Exception> how) {
        for (int i = 0; i < TRIALS; i++) {
            var broken = damaged(text);
            ThrowingCallable read = () -> reading.read(broken);
            try {
                read.call();
            } catch (Throwable told) {
                assertThat(told).as(broken).isInstanceOf(how);
                assertThat(told.getMessage()).as(broken).isNotBlank();
            }
        }
    }

    private interface Reading {
        void read(String text) throws Exception;
    }

    @Test
    void damagedJobs() throws IOException {
        for (var version : new String[] {"1", "2"}) {
            var text =
                    version.equals("2")
                            ? JobCodec.write(DemoJobs.find("motorcycle").orElseThrow())
                            : Files.readString(
                                    Path.of("src/test/resources/versions/1/motorcycle.aficion"));
            eachRefusedInWords(text, JobCodec::read, JobFileException.class);
        }
    }

    @Test
    void damagedRecipesAndParts() throws IOException {
        var vehicle = new Vehicle("any", 1960, new Volts(12), Vehicle.Pole.NEGATIVE);
        try (var recipe = RecipeBook.class.getResourceAsStream("/aficion/recipes/wiper.json");
                var parts = RecipeBook.class.getResourceAsStream("/aficion/parts/parts.json")) {
            eachRefusedInWords(
                    new String(recipe.readAllBytes(), StandardCharsets.UTF_8),
                    RecipeBook::read,
                    IllegalArgumentException.class);
            eachRefusedInWords(
                    new String(parts.readAllBytes(), StandardCharsets.UTF_8),
                    text -> PartsBook.read(text, vehicle),
                    IllegalArgumentException.class);
        }
    }

    @Test
    void damagedWireLists() {
        var design = DemoJobs.find("roadster").orElseThrow().design();
        eachRefusedInWords(
                "number,from,to,colour,size,length,circuit\n"
                        + "1,H1.56b,Z9.1,green/purple,1.5,80 cm,Old loom\n".repeat(5),
                text -> {
                    var list = WireList.read(text);
                    list.plan(design, list.matched(), UserUnits.METRIC, "loom")
                            .edit()
                            .apply(design);
                },
                IllegalArgumentException.class);
    }

    /** Saves the same job over and over until it is killed. */
    static final class Saving {
        private Saving() {}

        public static void main(String[] arguments) throws IOException {
            var file = Path.of(arguments[0]);
            Job job = JobStore.open(file).job();
            var wire = job.design().wires().getFirst().id();
            for (int i = 0; ; i++) {
                JobStore.save(
                        file,
                        new WireEdit.Renumber(wire, "1." + (100 + i % 800)).apply(job),
                        Optional.empty());
                System.out.println(i);
            }
        }
    }

    /** Be it which of the saves it is, nothing of the job is missing. */
    @Test
    void aKilledSaveLeavesAWholeFile() throws Exception {
        var file = folder.resolve("tern.aficion");
        var demo = DemoJobs.find("roadster").orElseThrow();
        var wire = demo.design().wires().getFirst();
        JobStore.save(file, demo, Optional.empty());
        for (int i = 0; i < KILLS; i++) {
            var saving =
                    new ProcessBuilder(
                                    Path.of(System.getProperty("java.home"), "bin", "java")
                                            .toString(),
                                    "-cp",
                                    System.getProperty("java.class.path"),
                                    Saving.class.getName(),
                                    file.toString())
                            .redirectError(ProcessBuilder.Redirect.DISCARD)
                            .start();
            saving.inputReader().readLine();
            Thread.sleep(random.nextInt(60));
            saving.destroyForcibly().waitFor(10, TimeUnit.SECONDS);

            for (var each : List.of(file, JobStore.previous(file))) {
                var job = JobStore.open(each).job();
                assertThat(new WireEdit.Renumber(wire.id(), wire.number()).apply(job))
                        .isEqualTo(demo);
            }
        }
        JobStore.save(file, JobStore.open(file).job(), Optional.empty());
        assertThat(folder.toFile().list())
                .containsExactlyInAnyOrder("tern.aficion", "tern.previous.aficion");
    }
}
