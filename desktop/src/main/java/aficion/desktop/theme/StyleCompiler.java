package aficion.desktop.theme;

import atlantafx.base.theme.PrimerLight;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Objects;
import javafx.css.Stylesheet;

/**
 * Parses the style sheets ahead of time, when the program is built; parsing takes a third of a
 * start.
 */
final class StyleCompiler {
    private StyleCompiler() {}

    /**
     * @param arguments the folder to write to
     */
    public static void main(String[] arguments) throws IOException {
        var folder = Path.of(arguments[0]);
        compile(
                PrimerLight.class.getResourceAsStream(new PrimerLight().getUserAgentStylesheet()),
                folder.resolve(Theme.BASE));
        compile(Theme.class.getResourceAsStream("aficion.css"), folder.resolve(Theme.LOOK));
    }

    private static void compile(InputStream sheet, Path into) throws IOException {
        var css = Files.createTempFile("look", ".css");
        try (var in = Objects.requireNonNull(sheet)) {
            Files.write(css, in.readAllBytes());
            Stylesheet.convertToBinary(css.toFile(), into.toFile());
        } finally {
            Files.delete(css);
        }
    }
}
