package aficion.files;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;

/**
 * Something that one window holds: a lock of the operating system on a file, which ends with the
 * program that holds it, however that ends.
 */
public final class JobLock implements AutoCloseable {
    private final FileChannel channel;

    private JobLock(FileChannel channel) {
        this.channel = channel;
    }

    /** Holds a file, which is made where it is missing; empty when another window has it. */
    static Optional<JobLock> of(Path file) throws IOException {
        Files.createDirectories(file.getParent());
        var channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        try {
            if (channel.tryLock() != null) {
                return Optional.of(new JobLock(channel));
            }
        } catch (OverlappingFileLockException sameProgram) {
            // Another window of this program has it.
        }
        channel.close();
        return Optional.empty();
    }

    @Override
    public void close() {
        try {
            channel.close();
        } catch (IOException gone) {
            // The lock ends with the channel either way.
        }
    }
}
