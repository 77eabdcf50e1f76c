package aficion.files;

/** Names of files made of what a user has written, so that they stay in their folder. */
public final class FileNames {
    private static final int LONGEST = 60;

    private FileNames() {}

    /** Letters and digits, with a dash for everything else; never empty, never a path. */
    public static String of(String text) {
        var plain = text.strip().replaceAll("[^\\p{L}\\p{N}+_]+", "-");
        var dashed = plain.substring(0, Math.min(LONGEST, plain.length()));
        return dashed.isEmpty() ? "-" : dashed;
    }
}
