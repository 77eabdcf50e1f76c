package aficion.words;

import aficion.files.JobFileException;
import aficion.files.JobFileException.Trouble;
import aficion.files.JobStore;
import java.nio.file.Files;
import java.nio.file.Path;

/** Says what is wrong with a file, where, and what to do. */
public final class Troubles {
    private Troubles() {}

    public static String say(Trouble trouble, Path path) {
        var key = "problem." + trouble.getClass().getSimpleName();
        return switch (trouble) {
            case JobFileException.Unreadable(var detail) -> Words.of(key, detail);
            case JobFileException.Foreign() -> Words.of(key);
            case JobFileException.Newer(var version, var known) -> Words.of(key, version, known);
            case JobFileException.TooLarge(var bytes, var most) ->
                    Words.of(key, bytes >> 20, most >> 20);
            case JobFileException.Damaged damaged -> damaged(damaged, JobStore.previous(path));
            case JobFileException.Unwritable(_, var detail) -> Words.of(key, detail);
            case JobFileException.ChangedOutside _ -> Words.of(key);
        };
    }

    private static String damaged(JobFileException.Damaged damaged, Path previous) {
        return Files.exists(previous)
                ? Words.of("problem.Damaged.kept", where(damaged), previous.getFileName())
                : Words.of("problem.Damaged", where(damaged));
    }

    private static String where(JobFileException.Damaged damaged) {
        var line = damaged.line().map(String::valueOf);
        if (line.isPresent() && !damaged.field().isEmpty()) {
            return Words.of("problem.Damaged.where", line.get(), damaged.field(), damaged.detail());
        }
        if (line.isPresent()) {
            return Words.of("problem.Damaged.line", line.get(), damaged.detail());
        }
        return damaged.field().isEmpty()
                ? damaged.detail()
                : Words.of("problem.Damaged.field", damaged.field(), damaged.detail());
    }
}
