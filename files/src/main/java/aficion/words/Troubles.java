package aficion.words;

import aficion.files.JobFileException;
import aficion.files.JobFileException.Trouble;
import aficion.files.JobStore;
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
            case JobFileException.Damaged damaged ->
                    Words.of(key, where(damaged), JobStore.previous(path).getFileName());
            case JobFileException.Unwritable(_, var detail) -> Words.of(key, detail);
            case JobFileException.ChangedOutside _ -> Words.of(key);
        };
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
