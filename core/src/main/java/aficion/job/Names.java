package aficion.job;

import java.util.regex.Pattern;

/**
 * What short names in a job may be made of: markings, and identities, which are narrower, since
 * they stand before a point in a terminal and in names of files.
 */
public final class Names {
    private static final Pattern SHORT_NAME =
            Pattern.compile("[\\p{L}\\p{N}+\\-][\\p{L}\\p{N}+\\-_/.]{0,31}");

    private static final Pattern IDENTITY =
            Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{N}+\\-_]{0,31}");

    private Names() {}

    /** Whether a text may be a marking: letters, digits and {@code + - _ / .}, 32 at the most. */
    public static boolean isName(String text) {
        return SHORT_NAME.matcher(text).matches();
    }

    /** Whether a text may be an identity: letters, digits and {@code + - _}, 32 at the most. */
    public static boolean isIdentity(String text) {
        return IDENTITY.matcher(text).matches();
    }

    /**
     * @throws IllegalArgumentException when the text is no identity
     */
    static void requireIdentity(String text) {
        if (!isIdentity(text)) {
            throw new IllegalArgumentException(
                    "\"" + text + "\" is no identity: letters, digits and + - _ only, 32 at most");
        }
    }

    /**
     * @throws IllegalArgumentException when the name is empty, longer than 32 characters, or holds
     *     anything but letters, digits and {@code + - _ / .}
     */
    static void require(String name) {
        if (!isName(name)) {
            throw new IllegalArgumentException(
                    "\"" + name + "\" is no short name: letters, digits and + - _ / . only");
        }
    }
}
