package org.undanus.core.quantity;

import java.text.Normalizer;
import java.util.Arrays;

/**
 * What was typed with typographic signs folded to the plain ones: quotes, dashes, fraction characters, {@code ℃}. Knows
 * where each character came from, so that a message can point at what was typed.
 */
final class FoldedText {
    private final String text;
    private final int[] origins;

    private FoldedText(String text, int[] origins) {
        this.text = text;
        this.origins = origins;
    }

    static FoldedText of(String typed) {
        StringBuilder folded = new StringBuilder(typed.length() + 8);
        int[] origins = new int[typed.length() * 6 + 1];
        for (int i = 0; i < typed.length(); i++) {
            char before = folded.length() == 0 ? ' ' : folded.charAt(folded.length() - 1);
            String plain = plain(typed.charAt(i), before);
            if (plain.equals("'") && before == '\'') {
                folded.setCharAt(folded.length() - 1, '"');
                continue;
            }
            Arrays.fill(origins, folded.length(), folded.length() + plain.length(), i);
            folded.append(plain);
        }
        int end = folded.length();
        while (end > 0 && (folded.charAt(end - 1) == ' ' || isFullStop(folded, end - 1))) {
            end--;
        }
        origins[end] = end == 0 ? 0 : origins[end - 1] + 1;
        return new FoldedText(folded.substring(0, end), origins);
    }

    /** A single full stop closes a sentence; several are no notation. */
    private static boolean isFullStop(CharSequence folded, int at) {
        return folded.charAt(at) == '.' && (at == 0 || folded.charAt(at - 1) != '.');
    }

    private static String plain(char c, char before) {
        return switch (c) {
            case 'µ', 'μ' -> "u";
            case '″', '”', '“', '„', '˝' -> "\"";
            case '′', '’', '‘', '´', '`' -> "'";
            case '−', '–', '—', '‐', '‑' -> "-";
            case 'º', '˚' -> "°";
            case '℃' -> "°C";
            case '℉' -> "°F";
            case '⁄', '∕' -> "/";
            case '\u2126' -> "Ω";
            // a power only where it follows a unit: "10² mm" is not 102 mm
            case '²' -> Character.isLetter(before) ? "2" : "²";
            case '³' -> Character.isLetter(before) ? "3" : "³";
            case '\u00a0', '\u202f', '\u2009', '\t' -> " ";
            default -> fraction(c, before);
        };
    }

    /** {@code ½} as {@code 1/2}, parted from a whole number before it. */
    private static String fraction(char c, char before) {
        if (Character.getType(c) != Character.OTHER_NUMBER) {
            return Character.toString(c);
        }
        String parts = Normalizer.normalize(Character.toString(c), Normalizer.Form.NFKC);
        return parts.indexOf('⁄') < 0
                ? Character.toString(c)
                : (Character.isDigit(before) ? " " : "") + parts.replace('⁄', '/');
    }

    String text() {
        return text;
    }

    /** The place in what was typed of a place in the folded text. */
    int origin(int position) {
        return origins[Math.min(position, text.length())];
    }
}
