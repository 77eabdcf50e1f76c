package aficion.words;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.ResourceBundle;
import java.util.regex.Pattern;

/** Whose words the texts of the program use. The American ones stand in a bundle of their own. */
public enum Wording {
    BRITISH,
    AMERICAN;

    private static final Map<String, String> AMERICAN_WORDS = words();
    private static final Pattern WHOLE_WORDS =
            Pattern.compile("\\b(" + String.join("|", AMERICAN_WORDS.keySet()) + ")\\b");

    private static Map<String, String> words() {
        var bundle = ResourceBundle.getBundle("aficion.words.american", Locale.ROOT);
        var words = new LinkedHashMap<String, String>();
        bundle.keySet().stream()
                .sorted((one, other) -> other.length() - one.length())
                .forEach(key -> {
                    var plain = key.replace('_', ' ');
                    words.put(plain, bundle.getString(key));
                    words.put(capital(plain), capital(bundle.getString(key)));
                });
        return words;
    }

    private static String capital(String word) {
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }

    /** A text of the program in these words. */
    public String of(String text) {
        return switch (this) {
            case BRITISH -> text;
            case AMERICAN ->
                    WHOLE_WORDS
                            .matcher(text)
                            .replaceAll(found -> AMERICAN_WORDS.get(found.group()));
        };
    }
}
