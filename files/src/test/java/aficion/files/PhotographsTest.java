package aficion.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import aficion.job.Job;
import aficion.job.Photograph;
import aficion.job.edit.WorkEdit;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Photographs: kept from the moment they are taken in, whatever becomes of the job. */
class PhotographsTest {
    @TempDir private Path folder;
    private Photographs photographs;

    @BeforeEach
    void pool() {
        photographs = new Photographs(folder.resolve("pool"));
    }

    private static byte[] picture(int colour, String coding) {
        try {
            var image = new BufferedImage(20, 10, BufferedImage.TYPE_INT_RGB);
            image.setRGB(5, 5, colour);
            var bytes = new ByteArrayOutputStream();
            ImageIO.write(image, coding, bytes);
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Job with(Photograph photograph) {
        return new WorkEdit.NoteSurvey(WorkEdit.About.PHOTOGRAPH, survey -> survey.with(photograph))
                .apply(DemoJobs.find("tractor").orElseThrow());
    }

    @ParameterizedTest
    @ValueSource(strings = {"png", "jpg", "gif", "bmp"})
    void aPictureIsCalledAfterWhatIsInIt(String coding) throws IOException {
        var one = photographs.take(picture(0xFF, coding), "one");
        var same = photographs.take(picture(0xFF, coding), "the same");

        assertThat(one.file()).matches("[0-9a-f]{32}\\." + coding).isEqualTo(same.file());
        assertThat(photographs.find(one.file(), Optional.empty())).isPresent();
        if (coding.equals("png")) {
            assertThat(photographs.take(picture(0xFF00, coding), "").file())
                    .isNotEqualTo(one.file());
        }
    }

    /** Beside the job once it is saved; saved elsewhere, it goes along; the pool is then empty. */
    @Test
    void picturesAreLaidBesideTheJob() throws IOException {
        var photograph = photographs.take(picture(1, "png"), "a");
        var job = with(photograph);
        var first = folder.resolve("first/x.aficion");
        var second = folder.resolve("second/y.aficion");
        Files.createDirectories(first.getParent());
        Files.createDirectories(second.getParent());

        photographs.settle(job, first, Optional.empty());
        assertThat(folder.resolve("first/x.photographs").resolve(photograph.file())).exists();
        assertThat(folder.resolve("pool")).isEmptyDirectory();
        photographs.settle(job, second, Optional.of(first));
        assertThat(folder.resolve("second/y.photographs").resolve(photograph.file())).exists();
        assertThat(photographs.missing(job, Optional.of(second))).isEmpty();

        Files.delete(folder.resolve("second/y.photographs").resolve(photograph.file()));
        assertThat(photographs.missing(job, Optional.of(second))).containsExactly(photograph);
        assertThat(photographs.bytes(photograph.file(), Optional.of(second))).isEmpty();
        photographs.settle(job, second, Optional.of(second));
        assertThat(photographs.missing(job, Optional.of(first))).isEmpty();
    }

    @Test
    void whatIsNoPictureIsRefused() throws IOException {
        var text = Files.writeString(folder.resolve("a.png"), "no picture");
        var cut = picture(2, "png");
        var broken = folder.resolve("b.png");
        Files.write(broken, Arrays.copyOf(cut, 20));

        assertThatThrownBy(() -> photographs.take(text, "")).hasMessageContaining("no picture");
        assertThatThrownBy(() -> photographs.take(broken, "")).hasMessageContaining("picture");
        assertThatThrownBy(() -> photographs.take(folder, "")).hasMessageContaining("no file");
        assertThatThrownBy(() -> photographs.take(folder.resolve("none"), ""))
                .hasMessageContaining("no file");
        assertThat(folder.resolve("pool")).doesNotExist();
    }

    @Test
    void aHugeFileIsRefusedUnread() throws IOException {
        var huge = folder.resolve("huge.png");
        try (var file = new RandomAccessFile(huge.toFile(), "rw")) {
            file.setLength(Photographs.MOST_BYTES + 1);
        }

        assertThatThrownBy(() -> photographs.take(huge, "")).hasMessageContaining("60 MB");
    }

    @Test
    void aPhotographsNameIsNeverAWayOutOfItsFolder() {
        assertThatThrownBy(() -> new Photograph("../x.png", "")).hasMessageContaining("no photo");
        assertThatThrownBy(() -> new Photograph("0123456789abcdef0123456789abcdef.exe", ""))
                .hasMessageContaining("no photo");
    }
}
