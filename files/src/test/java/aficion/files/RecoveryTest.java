package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;

import aficion.job.Job;
import aficion.quantity.UserUnits;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a program keeps for the next one, and what it does with such files that are damaged. */
class RecoveryTest {
    private final Job demo = DemoJobs.find("roadster").orElseThrow();

    @TempDir Path folder;

    private Path only(String end) throws IOException {
        try (var files = Files.list(folder)) {
            return files.filter(file -> file.toString().endsWith(end)).findFirst().orElseThrow();
        }
    }

    private void leave(Optional<Path> file) throws IOException {
        try (var killed = new Recovery(folder)) {
            killed.keep(demo, file);
        }
    }

    @Test
    void whatAKilledProgramLeftIsOfferedOnceAndGone() throws IOException {
        leave(Optional.of(folder.resolve("tern.aficion")));
        var next = new Recovery(folder);

        var left = next.left();

        assertThat(left).extracting(Recovery.Left::job).containsExactly(demo);
        assertThat(left.getFirst().file()).contains(folder.resolve("tern.aficion"));
        assertThat(new Recovery(folder).left()).as("while one program asks about it").isEmpty();
        next.discard(left.getFirst());
        assertThat(folder).isEmptyDirectory();
    }

    @Test
    void whatAProgramThatRunsKeepsIsNotOffered() throws IOException {
        var running = new Recovery(folder);
        running.keep(demo, Optional.empty());

        assertThat(new Recovery(folder).left()).isEmpty();
        running.drop();
        assertThat(folder).isEmptyDirectory();
    }

    /** No two programs ever have a copy of the same name, whatever their process numbers. */
    @Test
    void aCopyThatWasLeftIsNeverTheOneOfTheNextProgram() throws IOException {
        leave(Optional.empty());
        var next = new Recovery(folder);
        next.keep(demo, Optional.empty());
        next.drop();

        assertThat(new Recovery(folder).left()).hasSize(1);
    }

    /** A copy from before locks, named by a process. */
    @Test
    void aCopyWithoutALockIsOffered() throws IOException {
        Files.writeString(folder.resolve("4711.aficion"), JobCodec.write(demo));

        assertThat(new Recovery(folder).left())
                .extracting(Recovery.Left::job)
                .containsExactly(demo);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "\u0000", "relative/name.aficion", "\n"})
    void aDamagedPathBesideACopyIsNotFollowed(String path) throws IOException {
        leave(Optional.of(folder.resolve("tern.aficion")));
        Files.writeString(only(".path"), path);

        assertThat(new Recovery(folder).left())
                .singleElement()
                .satisfies(left -> {
                    assertThat(left.job()).isEqualTo(demo);
                    assertThat(left.file()).isEmpty();
                });
    }

    @Test
    void aPathThatIsNoTextAndACopyThatIsNoJobAreSetAside() throws IOException {
        leave(Optional.of(folder.resolve("tern.aficion")));
        Files.write(only(".path"), new byte[] {(byte) 0xff, (byte) 0xfe, 0});
        Files.writeString(folder.resolve("half.aficion"), "{\"format\": \"aficion-job\"");

        assertThat(new Recovery(folder).left()).hasSize(1);
        assertThat(folder.resolve("half.aficion.unreadable")).exists();
        assertThat(folder.resolve("half.aficion")).doesNotExist();
        assertThat(folder.resolve("half.aficion.lock")).doesNotExist();
    }

    @ParameterizedTest
    @ValueSource(strings = {"null", "", "{", "[1]", "{\"feet\": null}"})
    void preferencesThatCannotBeReadAreSetAsideAndTheUsualHold(String text) throws IOException {
        Files.writeString(folder.resolve("preferences.json"), text);
        var userState = new UserState(folder, new Library(folder));

        assertThat(userState.preferences()).isEqualTo(Preferences.USUAL);
        assertThat(folder.resolve("preferences.json")).doesNotExist();
        assertThat(folder.resolve("preferences.json.unreadable")).hasContent(text);
        userState.keep(Preferences.USUAL.withOtherUnits());
        assertThat(userState.preferences().units().length()).isEqualTo(UserUnits.LengthUnit.FOOT);
    }

    @Test
    void aListOfRecentJobsThatCannotBeReadIsSetAside() throws IOException {
        Files.write(folder.resolve("recent.txt"), new byte[] {(byte) 0xc3, 0x28});
        var userState = new UserState(folder, new Library(folder));

        assertThat(userState.recent()).isEmpty();
        userState.remember(Files.createFile(folder.resolve("a.aficion")));
        assertThat(userState.recent()).hasSize(1);
    }

    @Test
    void aJobIsHeldOnceByWhateverNameItIsReached() throws IOException {
        var file = Files.writeString(folder.resolve("tern.aficion"), JobCodec.write(demo));
        var link = Files.createSymbolicLink(folder.resolve("link.aficion"), file);
        var userState = new UserState(folder.resolve("desk"), new Library(folder));

        try (var held = userState.lock(link).orElseThrow()) {
            assertThat(held).isNotNull();
            assertThat(userState.lock(file)).isEmpty();
        }
        assertThat(userState.lock(file)).isPresent();
    }

    @Test
    void stateGoesWhereTheEnvironmentSays() {
        assertThat(
                        List.of(
                                Folders.state(Map.of("HOME", "/h"), "/user"),
                                Folders.state(Map.of(), "/user"),
                                Folders.state(
                                        Map.of("HOME", "/h", "XDG_STATE_HOME", "/s"), "/user"),
                                Folders.data(
                                        Map.of("HOME", " ", "XDG_DATA_HOME", "not/whole"),
                                        "/user")))
                .containsExactly(
                        Path.of("/h/.local/state/aficion"),
                        Path.of("/user/.local/state/aficion"),
                        Path.of("/s/aficion"),
                        Path.of("/user/.local/share/aficion"));
    }
}
