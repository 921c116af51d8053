package org.undanus.server;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Random;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;

/** Pictures as cameras write them, and a paper. */
public final class TestPictures {
    private static final int SHORT = 3;
    private static final int LONG = 4;
    private static final int ASCII = 2;
    private static final int RATIONAL = 5;

    private TestPictures() {}

    /** A paper of an upright page and a small one that lies on its side. */
    public static byte[] pdf() {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            document.addPage(new PDPage(PDRectangle.A4));
            document.addPage(new PDPage(new PDRectangle(300, 200)));
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static byte[] png(int width, int height) {
        return picture("png", width, height);
    }

    public static byte[] jpeg(int width, int height) {
        return picture("jpg", width, height);
    }

    private static byte[] picture(String format, int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int x = 0; x < width; x++) {
            image.setRGB(x, height / 2, 0xFF0000);
        }
        return written(format, image);
    }

    private static byte[] written(String format, BufferedImage image) {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            ImageIO.write(image, format, out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A PNG that does not pack. */
    public static byte[] noise(int width, int height, long seed) {
        Random random = new Random(seed);
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                image.setRGB(x, y, random.nextInt());
            }
        }
        return written("png", image);
    }

    /** Taken upside down on 24 August 2026 at 47° 30′ north, 8° 15′ east. */
    public static byte[] jpegFromACamera() {
        byte[] plain = jpeg(640, 480);
        byte[] exif = exif();
        ByteBuffer whole = ByteBuffer.allocate(plain.length + exif.length);
        whole.put(plain, 0, 2).put(exif).put(plain, 2, plain.length - 2);
        return whole.array();
    }

    private static byte[] exif() {
        ByteBuffer tiff = ByteBuffer.allocate(400);
        tiff.put("MM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(8);
        tiff.putShort((short) 3);
        entry(tiff, 0x0112, SHORT, 1, 3 << 16);
        entry(tiff, 0x8769, LONG, 1, 100);
        entry(tiff, 0x8825, LONG, 1, 160);
        tiff.putInt(0);
        tiff.position(100);
        tiff.putShort((short) 1);
        entry(tiff, 0x9003, ASCII, 20, 120);
        tiff.putInt(0);
        tiff.position(120);
        tiff.put("2026:08:24 09:30:00\0".getBytes(StandardCharsets.US_ASCII));
        tiff.position(160);
        tiff.putShort((short) 4);
        entry(tiff, 1, ASCII, 2, 'N' << 24);
        entry(tiff, 2, RATIONAL, 3, 240);
        entry(tiff, 3, ASCII, 2, 'E' << 24);
        entry(tiff, 4, RATIONAL, 3, 270);
        tiff.putInt(0);
        tiff.position(240);
        tiff.putInt(47).putInt(1).putInt(30).putInt(1).putInt(0).putInt(1);
        tiff.position(270);
        tiff.putInt(8).putInt(1).putInt(15).putInt(1).putInt(0).putInt(1);
        byte[] body = Arrays.copyOf(tiff.array(), 300);
        ByteBuffer part = ByteBuffer.allocate(body.length + 10);
        part.put((byte) 0xFF).put((byte) 0xE1).putShort((short) (body.length + 8));
        part.put("Exif\0\0".getBytes(StandardCharsets.US_ASCII)).put(body);
        return part.array();
    }

    private static void entry(ByteBuffer tiff, int tag, int type, int count, int value) {
        tiff.putShort((short) tag).putShort((short) type).putInt(count).putInt(value);
    }
}
