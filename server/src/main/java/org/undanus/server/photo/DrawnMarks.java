package org.undanus.server.photo;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import javax.imageio.ImageIO;

/** Arrows and circles drawn into a copy of a picture, for paper. */
final class DrawnMarks {
    private static final Color HALO = new Color(0xFF, 0xFE, 0xFA);
    private static final Color INK = new Color(0xB9, 0x36, 0x20);
    private static final float HALO_WIDTH = 7;
    private static final float INK_WIDTH = 3;
    /** Length of an arrow's head as a share of the picture's longer side, and half its opening in radians. */
    private static final double HEAD = 0.06;

    private static final double OPENING = 0.45;

    private DrawnMarks() {}

    /** @return JPEG */
    static byte[] over(byte[] jpeg, List<PhotoMark> marks) {
        try {
            BufferedImage picture = ImageIO.read(new ByteArrayInputStream(jpeg));
            Graphics2D pen = picture.createGraphics();
            pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            for (PhotoMark mark : marks) {
                Shape shape = shape(mark, picture.getWidth(), picture.getHeight());
                pen.setColor(HALO);
                pen.setStroke(new BasicStroke(HALO_WIDTH, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
                pen.draw(shape);
                pen.setColor(INK);
                pen.setStroke(new BasicStroke(INK_WIDTH, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
                pen.draw(shape);
            }
            pen.dispose();
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(picture, "jpeg", out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Shape shape(PhotoMark mark, int width, int height) {
        double x = mark.x() * width;
        double y = mark.y() * height;
        double toX = mark.toX() * width;
        double toY = mark.toY() * height;
        if (mark.kind() == PhotoMark.Kind.CIRCLE) {
            double radius = Math.hypot(toX - x, toY - y);
            return new Ellipse2D.Double(x - radius, y - radius, 2 * radius, 2 * radius);
        }
        Path2D arrow = new Path2D.Double();
        arrow.moveTo(x, y);
        arrow.lineTo(toX, toY);
        double back = Math.atan2(y - toY, x - toX);
        double head = HEAD * Math.max(width, height);
        for (double turn : new double[] {-OPENING, OPENING}) {
            arrow.moveTo(toX, toY);
            arrow.lineTo(toX + head * Math.cos(back + turn), toY + head * Math.sin(back + turn));
        }
        return arrow;
    }
}
