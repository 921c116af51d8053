package org.undanus.server.upload;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;

/** The pages of a PDF as pictures. */
public final class PdfPages {
    private static final double POINTS_PER_INCH = 72;
    private static final double DOTS_PER_INCH = 110;
    /** Pixels; a poster is shown smaller. */
    private static final double LONGEST_SIDE = 2400;

    private PdfPages() {}

    /** @throws UnsuitableException where it cannot be opened */
    public static int count(byte[] pdf) {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return document.getNumberOfPages();
        } catch (IOException damaged) {
            throw new UnsuitableException(
                    "file", "This PDF cannot be opened: it is damaged or locked. Nothing was saved.");
        }
    }

    /**
     * A page as PNG.
     *
     * @param number counted from 1
     * @throws NotFoundException where it has no such page
     */
    public static byte[] png(byte[] pdf, int number) {
        try (PDDocument document = Loader.loadPDF(pdf);
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            if (number < 1 || number > document.getNumberOfPages()) {
                throw new NotFoundException("It has " + document.getNumberOfPages() + " pages.");
            }
            PDRectangle page = document.getPage(number - 1).getCropBox();
            double longest = Math.max(page.getWidth(), page.getHeight()) / POINTS_PER_INCH;
            double dots = Math.min(DOTS_PER_INCH, LONGEST_SIDE / longest);
            BufferedImage image = new PDFRenderer(document).renderImageWithDPI(number - 1, (float) dots, ImageType.RGB);
            ImageIO.write(image, "png", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
