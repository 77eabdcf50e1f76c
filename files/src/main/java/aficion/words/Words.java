package aficion.words;

import java.text.MessageFormat;
import java.util.Locale;
import java.util.Optional;
import java.util.ResourceBundle;

/**
 * The texts of the program by key. Numbers are given as printed texts; the bundle only orders them.
 */
public final class Words {
    private static final ResourceBundle BUNDLE =
            ResourceBundle.getBundle("aficion.words.words", Locale.ROOT);

    private static volatile Wording wording = Wording.BRITISH;

    private Words() {}

    /** From here on, every text is in these words; what is shown already is to be shown anew. */
    public static void speak(Wording words) {
        wording = words;
    }

    /**
     * The text of a key with its places filled.
     *
     * @throws java.util.MissingResourceException when there is no such text
     */
    public static String of(String key, Object... arguments) {
        String pattern = wording.of(BUNDLE.getString(key));
        return arguments.length == 0
                ? pattern
                : new MessageFormat(pattern, Locale.ROOT).format(arguments);
    }

    /** The text of a key; empty when there is none. */
    public static Optional<String> find(String key) {
        return BUNDLE.containsKey(key) ? Optional.of(of(key)) : Optional.empty();
    }

    /** The words that are spoken now. */
    public static Wording wording() {
        return wording;
    }

    /** A text that ships with the program as data, in the words of the user. */
    public static String said(String text) {
        return wording.of(text);
    }

    /** The text of a constant under a prefix: {@code zone.CABIN}. */
    public static String of(String prefix, Enum<?> constant) {
        return of(prefix + "." + constant.name());
    }
}
