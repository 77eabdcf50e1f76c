package aficion.job;

import java.util.regex.Pattern;

/**
 * A photograph, kept as a file beside the job.
 *
 * @param file its name: what is in it, as a digest, and how it is coded; so a name is never of
 *     another picture
 * @param words what it shows
 */
public record Photograph(String file, String words) {
    private static final Pattern FILE = Pattern.compile("[0-9a-f]{32}\\.(png|jpg|gif|bmp)");
    private static final int LONGEST = 200;

    /**
     * @throws IllegalArgumentException when the file is called otherwise
     */
    public Photograph {
        if (!FILE.matcher(file).matches()) {
            throw new IllegalArgumentException(
                    "\""
                            + file
                            + "\" is no photograph: 32 digits of 0-9 and a-f, and .png or .jpg");
        }
        Names.requireLine("what a photograph shows", words, LONGEST);
    }
}
