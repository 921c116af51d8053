package org.undanus.server.qr;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** An address as a QR code (ISO/IEC 18004) in SVG. */
public final class QrCode {
    private QrCode() {}

    /**
     * @param side of the picture, dots
     * @throws IllegalArgumentException when the text is longer than a code can hold
     */
    public static String svg(String text, int side) {
        BitMatrix code = matrix(text);
        String dark = IntStream.range(0, code.getHeight())
                .boxed()
                .flatMap(y -> IntStream.range(0, code.getWidth())
                        .filter(x -> code.get(x, y))
                        .mapToObj(x -> "M" + x + " " + y + "h1v1h-1z"))
                .collect(Collectors.joining());
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"" + side + "\" height=\"" + side
                + "\" viewBox=\"0 0 " + code.getWidth() + " " + code.getHeight() + "\"><path d=\"" + dark
                + "\" fill=\"#000\"/></svg>";
    }

    private static BitMatrix matrix(String text) {
        try {
            return new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 0, 0);
        } catch (WriterException e) {
            throw new IllegalArgumentException(e);
        }
    }
}
