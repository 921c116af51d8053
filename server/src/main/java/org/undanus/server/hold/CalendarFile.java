package org.undanus.server.hold;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;

/** An appointment with an alarm, as calendars read it (RFC 5545). */
public final class CalendarFile {
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("yyyyMMdd'T'HHmmss'Z'").withZone(ZoneOffset.UTC);
    /** Of a line in octets, without its end. */
    private static final int LONGEST = 74;

    private CalendarFile() {}

    /** The file of one appointment. */
    public static byte[] of(String id, Instant written, Instant at, String title, String words) {
        StringBuilder file = new StringBuilder();
        List.of(
                        "BEGIN:VCALENDAR",
                        "VERSION:2.0",
                        "PRODID:-//Undanus//Holds//EN",
                        "BEGIN:VEVENT",
                        "UID:" + id + "@undanus",
                        "DTSTAMP:" + TIME.format(written),
                        "DTSTART:" + TIME.format(at),
                        "DURATION:PT5M",
                        "SUMMARY:" + escaped(title),
                        "DESCRIPTION:" + escaped(words),
                        "BEGIN:VALARM",
                        "ACTION:DISPLAY",
                        "TRIGGER:PT0S",
                        "DESCRIPTION:" + escaped(title),
                        "END:VALARM",
                        "END:VEVENT",
                        "END:VCALENDAR")
                .forEach(line -> fold(line, file));
        return file.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static String escaped(String text) {
        return text.replace("\\", "\\\\")
                .replace(";", "\\;")
                .replace(",", "\\,")
                .replace("\n", "\\n");
    }

    private static void fold(String line, StringBuilder file) {
        int octets = 0;
        for (int letter : line.codePoints().toArray()) {
            String next = Character.toString(letter);
            int more = next.getBytes(StandardCharsets.UTF_8).length;
            if (octets + more > LONGEST) {
                file.append("\r\n ");
                octets = 1;
            }
            file.append(next);
            octets += more;
        }
        file.append("\r\n");
    }
}
