package org.undanus.core.quantity;

import java.math.BigDecimal;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.undanus.core.words.Text;

/**
 * A number as it stands in a text: {@code 40.5}, {@code 1,03}, {@code 18-1/2}, {@code -2}, {@code 1.5e3}.
 *
 * @param magnitude without its sign
 * @param step what its last place is worth: 0.1 for {@code 40.5}, 1/8 for {@code 3/8}
 * @param decimals whether it has decimals
 * @param thousandOrDecimal whether its mark may part thousands or decimals: {@code 2.500}, {@code 1,220}
 */
record WrittenNumber(
        String written,
        int start,
        int end,
        boolean negative,
        double magnitude,
        double step,
        boolean fraction,
        boolean decimals,
        boolean thousandOrDecimal) {

    private static final String GROUPED = "\\d{1,3}(?:,\\d{3})+\\.\\d+|\\d{1,3}(?:\\.\\d{3})+,\\d+"
            + "|\\d{1,3}(?:,\\d{3}){2,}|\\d{1,3}(?:\\.\\d{3}){2,}";
    private static final Pattern NUMBER = Pattern.compile("(?<sign>[+-])?\\s*"
            + "(?:(?:(?<whole>\\d+)(?:\\s*-\\s*|\\s+))?(?<top>\\d+)\\s*/\\s*(?<bottom>\\d+)(?![\\d.,])"
            + "|(?:(?<grouped>" + GROUPED
            + ")|(?<decimal>\\d+(?:[.,]\\d+|\\.(?= ))?|[.,]\\d+))(?<power>[eE][+-]?\\d{1,3})?)");
    private static final Pattern ANOTHER =
            Pattern.compile("\\s*(?:-|/|\\.{2,3}|…|\\bto\\b|\\bor\\b)\\s*(\\d+(?:[.,]\\d+)?)|\\s+(\\d+(?:[.,]\\d+)?)");
    private static final Pattern THOUSANDS = Pattern.compile("[1-9]\\d{0,2}[.,]\\d{3}");
    private static final Pattern APOSTROPHE_THOUSANDS = Pattern.compile("\\d{1,3}(?:'\\d{3})+(?!\\d)");
    private static final int LONGEST_WHOLE = 9;

    /** Into how many parts rules, scales and slopes are divided. */
    private static final Set<Long> DIVISIONS = Set.of(2L, 3L, 4L, 5L, 6L, 8L, 10L, 12L, 16L, 20L, 32L, 64L, 100L);

    private static final Set<Dimension> DIVIDED =
            Set.of(Dimension.LENGTH, Dimension.MASS, Dimension.RATIO, Dimension.VOLUME);

    /**
     * Reads the number that stands at this place.
     *
     * @throws FieldNotationException when there is none, or more than one, or it could be read two ways
     */
    static WrittenNumber at(FoldedText folded, int start, Dimension dimension) {
        String text = folded.text();
        Matcher thousands = APOSTROPHE_THOUSANDS.matcher(text).region(start, text.length());
        if (thousands.lookingAt()) {
            String plain = thousands.group().replace("'", "");
            throw new FieldNotationException(
                    Text.of(
                            "\"{group}\" could be read two ways. Write {plain} or {replace}.",
                            thousands.group(),
                            plain,
                            thousands.group().replace("'", " ft ")),
                    folded.origin(start),
                    List.of(plain + text.substring(thousands.end())));
        }
        Matcher found = NUMBER.matcher(text).region(start, text.length());
        if (!found.lookingAt()) {
            throw new FieldNotationException(
                    Text.of(
                            "A number is expected at character {origin}. Write {example}.",
                            (folded.origin(start) + 1),
                            dimension.example()),
                    folded.origin(start));
        }
        WrittenNumber number =
                found.group("bottom") == null ? decimal(found, folded) : fraction(found, folded, dimension);
        refuseAnother(number, folded);
        return number;
    }

    private static WrittenNumber decimal(Matcher found, FoldedText folded) {
        String grouped = found.group("grouped");
        String written = grouped == null ? found.group("decimal") : grouped;
        String plain = grouped == null ? written.replace(',', '.') : ungrouped(grouped);
        String power = found.group("power") == null ? "" : found.group("power");
        double value = Double.parseDouble(plain + power);
        if (!Double.isFinite(value)) {
            throw new FieldNotationException("This number is too large.", folded.origin(found.start()));
        }
        int mark = plain.indexOf('.');
        double exponent = power.isEmpty() ? 0 : Double.parseDouble(power.substring(1));
        return of(
                found,
                value,
                Math.pow(10, exponent - (mark < 0 ? 0 : plain.length() - mark - 1)),
                false,
                mark >= 0,
                power.isEmpty() && THOUSANDS.matcher(written).matches());
    }

    /** Without the marks that part thousands: of two kinds of mark the last is the decimal one. */
    private static String ungrouped(String written) {
        int last = Math.max(written.lastIndexOf('.'), written.lastIndexOf(','));
        boolean decimal = written.indexOf(written.charAt(last)) == last;
        String digits = written.replaceAll("[.,]", "");
        int decimals = written.length() - last - 1;
        return decimal ? new BigDecimal(digits).movePointLeft(decimals).toPlainString() : digits;
    }

    private static WrittenNumber fraction(Matcher found, FoldedText folded, Dimension dimension) {
        long top = whole(found.group("top"), found, folded);
        long bottom = whole(found.group("bottom"), found, folded);
        if (bottom == 0) {
            throw new FieldNotationException("A fraction cannot be over zero.", folded.origin(found.start("bottom")));
        }
        // a bare slope is asked about with its unit, whatever it is divided by
        boolean bareSlope =
                dimension == Dimension.RATIO && found.end() == folded.text().length();
        boolean divided = DIVIDED.contains(dimension) && (DIVISIONS.contains(bottom) || bareSlope);
        if (!divided || top >= bottom) {
            throw runTogether(found.group("top"), top, bottom, found, folded, dimension);
        }
        long whole = found.group("whole") == null ? 0 : whole(found.group("whole"), found, folded);
        return of(found, whole + top / (double) bottom, 1.0 / bottom, true, false, false);
    }

    /** {@code 151/2} may be 15-1/2; {@code 208/230} is two values. */
    private static FieldNotationException runTogether(
            String digits, long top, long bottom, Matcher found, FoldedText folded, Dimension dimension) {
        int start = folded.origin(found.start());
        String rest = folded.text().substring(found.end());
        if (DIVIDED.contains(dimension)
                && DIVISIONS.contains(bottom)
                && top >= bottom
                && found.group("whole") == null) {
            for (int cut = 1; cut < digits.length(); cut++) {
                long part = Long.parseLong(digits.substring(cut));
                if (part > 0 && part < bottom && digits.charAt(cut) != '0') {
                    String apart = digits.substring(0, cut) + "-" + part + "/" + bottom;
                    String divided = BigDecimal.valueOf(top / (double) bottom)
                            .stripTrailingZeros()
                            .toPlainString();
                    return new FieldNotationException(
                            Text.of(
                                    "\"{digits}/{bottom}\" could be read two ways. Write {apart} or {divided}.",
                                    digits,
                                    bottom,
                                    apart,
                                    divided),
                            start,
                            List.of(apart + rest, divided + rest));
                }
            }
        }
        return twoValues(Long.toString(top), Long.toString(bottom), start, rest);
    }

    private static FieldNotationException twoValues(String one, String other, int position, String rest) {
        return new FieldNotationException(
                Text.of("Two values, {one} and {other}: which one? Write one of them.", one, other),
                position,
                List.of(one + rest, other + rest));
    }

    private static void refuseAnother(WrittenNumber number, FoldedText folded) {
        String text = folded.text();
        Matcher another = ANOTHER.matcher(text).region(number.end, text.length());
        boolean perMinute = text.startsWith("1/", number.end + 1);
        if (another.lookingAt() && !perMinute) {
            boolean parted = another.group(2) != null && another.group(2).matches("\\d{3}");
            String rest = text.substring(another.end());
            if (parted) {
                throw new FieldNotationException(
                        Text.of(
                                "\"{first} {other}\" could be one number or two. Write {joined}{end} or one of them.",
                                number.written,
                                another.group(2),
                                number.written,
                                another.group(2)),
                        folded.origin(number.start),
                        List.of(number.written + another.group(2) + rest));
            }
            String other = another.group(1) == null ? another.group(2) : another.group(1);
            throw twoValues(number.written, other, folded.origin(number.start), rest);
        }
    }

    private static long whole(String digits, Matcher found, FoldedText folded) {
        if (digits.length() > LONGEST_WHOLE) {
            throw new FieldNotationException("This number is too large.", folded.origin(found.start()));
        }
        return Long.parseLong(digits);
    }

    private static WrittenNumber of(
            Matcher found, double magnitude, double step, boolean fraction, boolean decimals, boolean ambiguous) {
        return new WrittenNumber(
                found.group().strip(),
                found.start(),
                found.end(),
                "-".equals(found.group("sign")),
                magnitude,
                step,
                fraction,
                decimals,
                ambiguous);
    }

    /** This number with its mark parting thousands instead of decimals. */
    WrittenNumber asThousands() {
        double thousand = 1000;
        return new WrittenNumber(
                written, start, end, negative, magnitude * thousand, step * thousand, false, false, false);
    }

    /** The number with its sign. */
    double value() {
        return negative ? -magnitude : magnitude;
    }
}
