package aficion.job;

import java.util.regex.Pattern;

/** What a short name in a job may be made of. */
final class Names {
    private static final Pattern SHORT_NAME =
            Pattern.compile("[\\p{L}\\p{N}+\\-][\\p{L}\\p{N}+\\-_/.]{0,31}");

    private Names() {}

    /**
     * @throws IllegalArgumentException when the name is empty, longer than 32 characters, or holds
     *     anything but letters, digits and {@code + - _ / .}
     */
    static void require(String name) {
        if (!SHORT_NAME.matcher(name).matches()) {
            throw new IllegalArgumentException(
                    "\"" + name + "\" is no short name: letters, digits and + - _ / . only");
        }
    }
}
