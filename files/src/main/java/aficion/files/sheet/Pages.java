package aficion.files.sheet;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.multipdf.LayerUtility;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.util.Matrix;

/** The pages of a PDF file: on other paper, and as they look. */
public final class Pages {
    private Pages() {}

    /**
     * How a page looks.
     *
     * @param count how many pages the file has
     */
    public record Look(BufferedImage image, int count) {}

    /** The same sheets on other paper, lying or standing as they do, as large as goes on it. */
    public static byte[] onto(byte[] pdf, PaperFormat paper) throws IOException {
        try (var from = Loader.loadPDF(pdf);
                var to = new PDDocument()) {
            to.setDocumentInformation(from.getDocumentInformation());
            var layers = new LayerUtility(to);
            for (int i = 0; i < from.getNumberOfPages(); i++) {
                var box = from.getPage(i).getMediaBox();
                var sheet = sheet(paper, box.getWidth() > box.getHeight());
                var page = new PDPage(sheet);
                to.addPage(page);
                try (var stream = new PDPageContentStream(to, page)) {
                    stream.transform(fitted(box, sheet));
                    stream.drawForm(layers.importPageAsForm(from, i));
                }
            }
            var bytes = new ByteArrayOutputStream();
            to.save(bytes);
            return bytes.toByteArray();
        }
    }

    private static PDRectangle sheet(PaperFormat paper, boolean lying) {
        float longer = (float) (paper.longer() * Book.MILLIMETRE);
        float shorter = (float) (paper.shorter() * Book.MILLIMETRE);
        return lying ? new PDRectangle(longer, shorter) : new PDRectangle(shorter, longer);
    }

    /** In the middle of a sheet, as large as goes. */
    private static Matrix fitted(PDRectangle box, PDRectangle sheet) {
        float scale =
                Math.min(sheet.getWidth() / box.getWidth(), sheet.getHeight() / box.getHeight());
        return new Matrix(
                scale,
                0,
                0,
                scale,
                (sheet.getWidth() - scale * box.getWidth()) / 2,
                (sheet.getHeight() - scale * box.getHeight()) / 2);
    }

    /**
     * How a page looks; the last one where there are not so many.
     *
     * @param index from 0
     * @param longest pixels of its longer side
     * @param grey as a printer without colours prints it
     * @throws IOException when it is no PDF file
     */
    public static Look look(byte[] pdf, int index, int longest, boolean grey) throws IOException {
        try (var document = Loader.loadPDF(pdf)) {
            int page = Math.min(index, document.getNumberOfPages() - 1);
            var box = document.getPage(page).getCropBox();
            float scale = longest / Math.max(box.getWidth(), box.getHeight());
            var image =
                    new PDFRenderer(document)
                            .renderImage(page, scale, grey ? ImageType.GRAY : ImageType.RGB);
            return new Look(image, document.getNumberOfPages());
        }
    }
}
