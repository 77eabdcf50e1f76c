package aficion.files;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;

/** Reads texts that other programs have written, in whatever spelling they chose. */
final class Spelling {
    /** What table programs of old still write. */
    private static final Charset WESTERN = Charset.forName("windows-1252");

    private Spelling() {}

    /** UTF-8 or UTF-16, with a mark at its head or without, else Windows-1252. */
    static String read(byte[] bytes) {
        var text = new String(bytes, spelling(bytes));
        return text.startsWith("\ufeff") ? text.substring(1) : text;
    }

    private static Charset spelling(byte[] bytes) {
        if (bytes.length >= 2 && (bytes[0] == (byte) 0xFF && bytes[1] == (byte) 0xFE)) {
            return StandardCharsets.UTF_16LE;
        }
        if (bytes.length >= 2 && (bytes[0] == (byte) 0xFE && bytes[1] == (byte) 0xFF)) {
            return StandardCharsets.UTF_16BE;
        }
        if (bytes.length >= 2 && bytes[0] == 0) {
            return StandardCharsets.UTF_16BE;
        }
        if (bytes.length >= 2 && bytes[1] == 0) {
            return StandardCharsets.UTF_16LE;
        }
        try {
            StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes));
            return StandardCharsets.UTF_8;
        } catch (CharacterCodingException other) {
            return WESTERN;
        }
    }
}
