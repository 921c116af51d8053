package org.undanus.server.upload;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.List;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSDocument;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSObjectKey;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.undanus.core.words.Text;
import org.undanus.server.problem.NotFoundException;
import org.undanus.server.problem.UnsuitableException;

/** The pages of a PDF as pictures. */
public final class PdfPages {
    private static final double POINTS_PER_INCH = 72;
    private static final double DOTS_PER_INCH = 110;
    /** Pixels; a poster is shown smaller. */
    private static final double LONGEST_SIDE = 2400;
    /** Of a picture within it. */
    private static final long MOST_PIXELS = 50_000_000;

    private PdfPages() {}

    /**
     * How many pages it has.
     *
     * @throws UnsuitableException where it cannot be opened, or to draw it would take more memory than a photo may
     */
    public static int count(byte[] pdf) {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            COSDocument objects = document.getDocument();
            for (COSObjectKey key : objects.getXrefTable().keySet()) {
                if (objects.getObjectFromPool(key).getObject() instanceof COSDictionary dictionary
                        && COSName.IMAGE.equals(dictionary.getCOSName(COSName.SUBTYPE))) {
                    requireBounded(dictionary.getInt(COSName.WIDTH, 0), dictionary.getInt(COSName.HEIGHT, 0));
                    requireBounded(dictionary);
                }
            }
            return document.getNumberOfPages();
        } catch (IOException damaged) {
            throw new UnsuitableException(
                    "file", "This PDF cannot be opened: it is damaged or locked. Nothing was saved.");
        }
    }

    /** A JPEG says its own size, whatever the PDF says of it; by that it is drawn. */
    private static void requireBounded(COSDictionary image) throws IOException {
        if (!(image instanceof COSStream stream)
                || !new PDStream(stream).getFilters().contains(COSName.DCT_DECODE)) {
            return;
        }
        try (InputStream content = new PDStream(stream).createInputStream(List.of(COSName.DCT_DECODE.getName()));
                ImageInputStream jpeg = ImageIO.createImageInputStream(content)) {
            Iterator<ImageReader> readers = ImageIO.getImageReadersByFormatName("jpeg");
            ImageReader reader = readers.next();
            try {
                reader.setInput(jpeg, true, true);
                requireBounded(reader.getWidth(0), reader.getHeight(0));
            } finally {
                reader.dispose();
            }
        }
    }

    private static void requireBounded(int width, int height) {
        long pixels = (long) width * height;
        if (pixels > MOST_PIXELS) {
            throw new UnsuitableException(
                    "file",
                    Text.of(
                            "A picture in this PDF has more than {mostPixels} million pixels. Scan it less fine. Nothing was saved.",
                            MOST_PIXELS / 1_000_000));
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
                throw new NotFoundException(Text.of("It has {count} pages.", document.getNumberOfPages()));
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
