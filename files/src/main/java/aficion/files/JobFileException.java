package aficion.files;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;

/** A job file that could not be read or written. The file itself was left as it was. */
public final class JobFileException extends IOException {
    private static final long serialVersionUID = 1;

    private final transient Trouble trouble;

    /** What is wrong with a file. */
    public sealed interface Trouble {}

    /** It is not there or may not be read. */
    public record Unreadable(String detail) implements Trouble {}

    /** It is a folder, a device or a pipe. */
    public record NoFile() implements Trouble {}

    /** It is no job file at all. */
    public record Foreign() implements Trouble {}

    /** It was written by a later version of the program. */
    public record Newer(int version, int known) implements Trouble {}

    /**
     * It has a field that this version does not know.
     *
     * @param line where, from 1; empty when that could not be told
     * @param field which field
     * @param detail what it is not
     */
    public record NewerField(Optional<Integer> line, String field, String detail)
            implements Trouble {}

    /** It is larger than a job can be. */
    public record TooLarge(long bytes, long most) implements Trouble {}

    /** It holds more circuits, parts or wires than a job can. */
    public record TooMany(String list, int there, int most) implements Trouble {}

    /**
     * It is a job file with something wrong in it.
     *
     * @param line where, from 1; empty when that could not be told
     * @param field which field, such as {@code wires[3].size}; empty for the text as a whole
     * @param detail what
     */
    public record Damaged(Optional<Integer> line, String field, String detail) implements Trouble {}

    /** It could not be written; what was there before is untouched. */
    public record Unwritable(Path path, String detail) implements Trouble {}

    /** Someone else has changed it since it was opened. */
    public record ChangedOutside(Path path) implements Trouble {}

    public JobFileException(Trouble trouble) {
        super(trouble.toString());
        this.trouble = trouble;
    }

    public Trouble trouble() {
        return trouble;
    }
}
