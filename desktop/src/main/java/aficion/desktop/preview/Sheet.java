package aficion.desktop.preview;

/**
 * A sheet that is made and not yet written.
 *
 * @param name of its file
 * @param pdf what the file holds
 * @param toScale whether it only serves at its own size, on the paper it was made for
 */
public record Sheet(String name, byte[] pdf, boolean toScale) {}
