package org.undanus.server.hold;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;

/** Appointments as calendars read them (RFC 5545). */
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

    /** Something to be done by a day. */
    public record Day(String id, Instant written, LocalDate on, String title, String words) {}

    /** The file of several days, each the whole of it. */
    public static byte[] ofDays(List<Day> days) {
        StringBuilder file = new StringBuilder();
        List<String> lines =
                new ArrayList<>(List.of("BEGIN:VCALENDAR", "VERSION:2.0", "PRODID:-//Undanus//Corrections//EN"));
        for (Day day : days) {
            lines.addAll(List.of(
                    "BEGIN:VEVENT",
                    "UID:" + day.id() + "@undanus",
                    "DTSTAMP:" + TIME.format(day.written()),
                    "DTSTART;VALUE=DATE:" + day.on().format(DateTimeFormatter.BASIC_ISO_DATE),
                    "SUMMARY:" + escaped(day.title()),
                    "DESCRIPTION:" + escaped(day.words()),
                    "END:VEVENT"));
        }
        lines.add("END:VCALENDAR");
        lines.forEach(line -> fold(line, file));
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
