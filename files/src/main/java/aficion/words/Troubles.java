package aficion.words;

import aficion.files.JobFileException;
import aficion.files.JobFileException.Trouble;
import aficion.files.JobStore;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Says what is wrong with a file, where, and what to do. */
public final class Troubles {
    private Troubles() {}

    public static String say(Trouble trouble, Path path) {
        var key = "problem." + trouble.getClass().getSimpleName();
        return switch (trouble) {
            case JobFileException.Unreadable(var detail) -> Words.of(key, detail);
            case JobFileException.NoFile() -> Words.of(key);
            case JobFileException.Foreign() -> Words.of(key);
            case JobFileException.Newer(var version, var known) -> Words.of(key, version, known);
            case JobFileException.NewerField(var line, var field, var detail) ->
                    Words.of(key, where(line, field, detail));
            case JobFileException.TooLarge(var bytes, var most) ->
                    Words.of(key, bytes >> 20, most >> 20);
            case JobFileException.TooMany(var list, var there, var most) ->
                    Words.of(key, list, there, most);
            case JobFileException.Damaged damaged -> damaged(damaged, JobStore.previous(path));
            case JobFileException.Unwritable(_, var detail) -> Words.of(key, detail);
            case JobFileException.ChangedOutside _ -> Words.of(key);
        };
    }

    private static String damaged(JobFileException.Damaged damaged, Path previous) {
        var where = where(damaged.line(), damaged.field(), damaged.detail());
        return Files.exists(previous)
                ? Words.of("problem.Damaged.kept", where, previous.getFileName())
                : Words.of("problem.Damaged", where);
    }

    private static String where(Optional<Integer> line, String field, String detail) {
        if (line.isPresent()) {
            var number = String.valueOf(line.get());
            return field.isEmpty()
                    ? Words.of("problem.Damaged.line", number, detail)
                    : Words.of("problem.Damaged.where", number, field, detail);
        }
        return field.isEmpty() ? detail : Words.of("problem.Damaged.field", field, detail);
    }
}
