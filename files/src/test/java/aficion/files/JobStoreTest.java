package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assumptions.assumeThat;

import aficion.files.JobFileException.ChangedOutside;
import aficion.files.JobFileException.Damaged;
import aficion.files.JobFileException.NoFile;
import aficion.files.JobFileException.TooLarge;
import aficion.files.JobFileException.Unreadable;
import aficion.files.JobFileException.Unwritable;
import aficion.job.Job;
import aficion.job.edit.WireEdit;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.Optional;
import org.assertj.core.api.ThrowableAssert.ThrowingCallable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class JobStoreTest {
    private final Job demo = DemoJobs.find("roadster").orElseThrow();
    private final Job changed =
            new WireEdit.Renumber(demo.design().wires().getFirst().id(), "1.99").apply(demo);

    @TempDir Path folder;

    @Test
    void whatIsSavedIsOpenedAgain() throws JobFileException {
        var file = folder.resolve("tern.aficion");

        var saved = JobStore.save(file, demo, Optional.empty());

        assertThat(JobStore.open(file)).isEqualTo(saved);
        assertThat(saved.job()).isEqualTo(demo);
    }

    @Test
    void theVersionBeforeIsKeptAndNothingElseIsLeft() throws IOException {
        var file = folder.resolve("tern.aficion");
        var first = JobStore.save(file, demo, Optional.empty());
        JobStore.save(file, changed, Optional.of(first));

        assertThat(JobStore.open(file).job()).isEqualTo(changed);
        assertThat(JobStore.open(JobStore.previous(file)).job()).isEqualTo(demo);
        try (var left = Files.list(folder)) {
            assertThat(left.map(path -> path.getFileName().toString()))
                    .containsExactlyInAnyOrder("tern.aficion", "tern.previous.aficion");
        }
    }

    @Test
    void aFileThatAnotherProgramChangedIsNotOverwritten() throws IOException {
        var file = folder.resolve("tern.aficion");
        var first = JobStore.save(file, demo, Optional.empty());
        Files.writeString(file, first.text() + " ");

        var refused =
                catchThrowableOfType(
                        JobFileException.class,
                        () -> JobStore.save(file, changed, Optional.of(first)));

        assertThat(refused.trouble()).isEqualTo(new ChangedOutside(file.toAbsolutePath()));
        assertThat(Files.readString(file)).isEqualTo(first.text() + " ");
    }

    @Test
    void aFileThatCannotBeOpenedStaysAsItIs() throws IOException {
        var file = folder.resolve("bad.aficion");
        Files.writeString(file, JobCodec.write(demo).substring(0, 5000));
        var before = Files.readAllBytes(file);
        var time = Files.getLastModifiedTime(file);

        var refused = catchThrowableOfType(JobFileException.class, () -> JobStore.open(file));

        assertThat(refused.trouble()).isInstanceOf(Damaged.class);
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
        assertThat(Files.getLastModifiedTime(file)).isEqualTo(time);
    }

    @Test
    void aFileThatIsNotThereIsUnreadable() {
        var refused =
                catchThrowableOfType(
                        JobFileException.class,
                        () -> JobStore.open(folder.resolve("none.aficion")));

        assertThat(refused.trouble()).isInstanceOf(Unreadable.class);
    }

    @Test
    void aHugeFileIsRefusedUnread() throws IOException {
        var file = folder.resolve("huge.aficion");
        try (var huge = new RandomAccessFile(file.toFile(), "rw")) {
            huge.setLength(JobStore.MOST_BYTES + 1);
        }

        var refused = catchThrowableOfType(JobFileException.class, () -> JobStore.open(file));

        assertThat(refused.trouble())
                .isEqualTo(new TooLarge(JobStore.MOST_BYTES + 1, JobStore.MOST_BYTES));
    }

    @Test
    void whatIsNotUtf8IsDamaged() throws IOException {
        var file = folder.resolve("latin.aficion");
        Files.write(file, new byte[] {'{', (byte) 0xE9, '}'});

        assertThat(
                        catchThrowableOfType(JobFileException.class, () -> JobStore.open(file))
                                .trouble())
                .isInstanceOf(Damaged.class);
    }

    @Test
    void aPlaceThatIsNotThereIsUnwritable() {
        var refused =
                catchThrowableOfType(
                        JobFileException.class,
                        () ->
                                JobStore.save(
                                        folder.resolve("no/such/x.aficion"),
                                        demo,
                                        Optional.empty()));

        assertThat(refused.trouble()).isInstanceOf(Unwritable.class);
    }

    @Test
    void aLinkStaysALink() throws IOException {
        var file = folder.resolve("tern.aficion");
        var first = JobStore.save(file, demo, Optional.empty());
        var link = Files.createSymbolicLink(folder.resolve("link.aficion"), file);

        JobStore.save(link, changed, Optional.of(first));

        assertThat(link).isSymbolicLink();
        assertThat(JobStore.open(file).job()).isEqualTo(changed);
        assertThat(JobStore.open(JobStore.previous(file)).job()).isEqualTo(demo);
    }

    @Test
    void aFolderIsNoJobAndIsLeftAsItIs() throws IOException {
        var place = Files.createDirectory(folder.resolve("tern.aficion"));

        assertThat(trouble(() -> JobStore.save(place, demo, Optional.empty())))
                .isEqualTo(new NoFile());
        assertThat(trouble(() -> JobStore.open(place))).isEqualTo(new NoFile());
        assertThat(place).isEmptyDirectory();
        assertThat(folder.toFile().list()).containsExactly("tern.aficion");
    }

    /** What has no end is not read to it. */
    @Test
    void aDeviceIsNoJob() {
        assumeThat(Path.of("/dev/zero")).exists();

        assertThat(trouble(() -> JobStore.open(Path.of("/dev/zero")))).isEqualTo(new NoFile());
    }

    @Test
    void aPrivateFileStaysPrivate() throws IOException {
        var file = folder.resolve("tern.aficion");
        var first = JobStore.save(file, demo, Optional.empty());
        assumeThat(Files.getFileStore(file).supportsFileAttributeView("posix")).isTrue();
        var owner = PosixFilePermissions.fromString("rw-------");
        Files.setPosixFilePermissions(file, owner);

        JobStore.save(file, changed, Optional.of(first));

        assertThat(Files.getPosixFilePermissions(file)).isEqualTo(owner);
        assertThat(Files.getPosixFilePermissions(JobStore.previous(file))).isEqualTo(owner);
    }

    @Test
    void whatAKilledSaveLeftIsClearedAway() throws IOException {
        var left = Files.createFile(folder.resolve(".aficion-999999999-1.writing"));

        JobStore.save(folder.resolve("tern.aficion"), demo, Optional.empty());

        assertThat(left).doesNotExist();
    }

    @Test
    void filesOfOneStemKeepVersionsOfTheirOwn() {
        assertThat(JobStore.previous(folder.resolve("x")))
                .isNotEqualTo(JobStore.previous(folder.resolve("x.aficion")));
    }

    @Test
    void theLongestNameIsOpenedAndSaved() throws IOException {
        var file = folder.resolve("\u00fc".repeat(123) + "x.aficion");
        var first = JobStore.save(file, demo, Optional.empty());

        JobStore.save(file, changed, Optional.of(first));

        assertThat(JobStore.open(file).job()).isEqualTo(changed);
        assertThat(JobStore.open(JobStore.previous(file)).job()).isEqualTo(demo);
    }

    private static JobFileException.Trouble trouble(ThrowingCallable done) {
        return catchThrowableOfType(JobFileException.class, done).trouble();
    }
}
