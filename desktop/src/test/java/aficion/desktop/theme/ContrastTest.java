package aficion.desktop.theme;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every text reaches a contrast of 4.5 on its ground, light and dark (WCAG 2.2, 1.4.3). */
class ContrastTest {
    private static final Pattern TOKEN = Pattern.compile("(-[a-z0-9-]+): #([0-9A-F]{6});");

    @ParameterizedTest
    @CsvSource({
        "-ink, -ground",
        "-ink, -panel",
        "-ink, -band",
        "-ink, -wash",
        "-ink2, -ground",
        "-ink2, -panel",
        "-ink2, -band",
        "-brass-text, -ground",
        "-brass-text, -panel",
        "-brass-text, -band",
        "-brass-on, -brass-fill",
        "-danger-ink, -ground",
        "-danger-ink, -panel",
        "-advice-ink, -panel",
        "-good-ink, -ground",
        "-bar-text, -bar",
        "-bar-text2, -bar",
        "-bar-lit, -bar",
        "-bar-text, -bar-key"
    })
    void textStandsOutFromItsGround(String text, String ground) throws IOException {
        for (var tokens : List.of(tokens(false), tokens(true))) {
            assertThat(contrast(tokens.get(text), tokens.get(ground)))
                    .as("%s on %s", text, ground)
                    .isGreaterThanOrEqualTo(4.5);
        }
    }

    private static Map<String, Integer> tokens(boolean dark) throws IOException {
        String css;
        try (var stream = Theme.class.getResourceAsStream("aficion.css")) {
            css = new String(stream.readAllBytes(), StandardCharsets.UTF_8);
        }
        int split = css.indexOf(".root.dark");
        var tokens = new HashMap<String, Integer>();
        read(css.substring(0, split), tokens);
        if (dark) {
            read(css.substring(split, css.indexOf("}", split)), tokens);
        }
        return tokens;
    }

    private static void read(String css, Map<String, Integer> tokens) {
        var match = TOKEN.matcher(css);
        while (match.find()) {
            tokens.put(match.group(1), Integer.parseInt(match.group(2), 16));
        }
    }

    private static double contrast(int one, int other) {
        double a = luminance(one);
        double b = luminance(other);
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    private static double luminance(int rgb) {
        return 0.2126 * linear(rgb >> 16 & 255)
                + 0.7152 * linear(rgb >> 8 & 255)
                + 0.0722 * linear(rgb & 255);
    }

    private static double linear(int channel) {
        double share = channel / 255.0;
        return share <= 0.04045 ? share / 12.92 : Math.pow((share + 0.055) / 1.055, 2.4);
    }
}
