package aficion.job;

import java.util.function.IntPredicate;

/**
 * What short names in a job may be made of: markings, and identities, which are narrower, since
 * they stand before a point in a terminal and in names of files.
 */
public final class Names {
    private static final int LONGEST = 32;

    private Names() {}

    /** Whether a text may be a marking: letters, digits and {@code + - _ / .}, 32 at the most. */
    public static boolean isName(String text) {
        return isMadeOf(text, Names::isMarking)
                && text.charAt(0) != '_'
                && text.charAt(0) != '/'
                && text.charAt(0) != '.';
    }

    /** Whether a text may be an identity: letters, digits and {@code + - _}, 32 at the most. */
    public static boolean isIdentity(String text) {
        return isMadeOf(text, Names::isOfIdentity) && isLetterOrNumber(text.codePointAt(0));
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

    /**
     * @throws IllegalArgumentException when a text has more signs than a line of that length, or
     *     signs that are none of a line
     */
    static void requireLine(String what, String text, int longest) {
        if (text.length() > longest || text.codePoints().anyMatch(Character::isISOControl)) {
            throw new IllegalArgumentException(
                    what + " is a line of at most " + longest + " signs");
        }
    }

    /**
     * @throws IllegalArgumentException when a text is blank besides
     */
    static void requireSaid(String what, String text, int longest) {
        requireLine(what, text, longest);
        if (text.isBlank()) {
            throw new IllegalArgumentException(what + " is missing");
        }
    }

    /** Asked for every terminal that is made, so without a pattern and without a stream. */
    private static boolean isMadeOf(String text, IntPredicate sign) {
        int signs = 0;
        for (int at = 0; at < text.length(); at += Character.charCount(text.codePointAt(at))) {
            signs++;
            if (!sign.test(text.codePointAt(at))) {
                return false;
            }
        }
        return signs > 0 && signs <= LONGEST;
    }

    private static boolean isMarking(int sign) {
        return isOfIdentity(sign) || sign == '/' || sign == '.';
    }

    private static boolean isOfIdentity(int sign) {
        return isLetterOrNumber(sign) || sign == '+' || sign == '-' || sign == '_';
    }

    private static boolean isLetterOrNumber(int sign) {
        return Character.isLetter(sign) || isNumber(sign);
    }

    private static boolean isNumber(int sign) {
        int type = Character.getType(sign);
        return type == Character.DECIMAL_DIGIT_NUMBER
                || type == Character.LETTER_NUMBER
                || type == Character.OTHER_NUMBER;
    }
}
