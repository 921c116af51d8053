package org.undanus.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.Locale;
import org.undanus.core.words.UnitSystem;

/**
 * Prints quantities in a reader's unit system. One rule: a reading has the digits it was read with; everything else has at most
 * the unit's usual digits, without zeros at the end. What it prints {@link FieldNotation} reads back.
 */
public final class QuantityFormat {
    public static final QuantityFormat US = new QuantityFormat(UnitSystem.US);
    public static final QuantityFormat SI = new QuantityFormat(UnitSystem.SI);

    private static final double MILLIMETRE = 1e-3;
    private static final double CENTIMETRE = 1e-2;
    private static final double ROUNDING = 1e-9;
    /** What a caliper measures, rather than a tape. */
    private static final double FINE_BELOW = 0.03;

    /** Masses of machines rather than of refrigerant: ounces or grams would say nothing. */
    private static final int FEW_POUNDS = 30;

    private static final double FEW_KILOGRAMS = 14;
    private static final double GRAMS_BELOW = 5;

    private static final int THOUSANDS_DIGITS = 3;
    private static final int GAS_DIGITS = 3;
    private static final double INCH = FieldUnit.INCH;
    private static final int EIGHTHS = 8;
    private static final double INCHES_ALONE_BELOW = 24;
    /** What is poured, rather than gas through a meter, m³. */
    private static final double JUG_BELOW = 0.012;

    private static final double ROOM_FROM = 0.5;
    /** A hundredth of a Pa·L/s, Pa·m³/s: of less, three decimals would leave nothing. */
    private static final double SMALL_LEAK = 1e-5;

    private static final double SMALL_SHARE = 0.1;
    /** An opening rather than a floor, m². */
    private static final double OPENING_BELOW = 0.5;

    private static final double METRES_FROM = 10;
    private static final double DEEP_VACUUM_BELOW = 3000;
    private static final double DUCT_PRESSURE_BELOW = 5000;

    private final UnitSystem system;

    private QuantityFormat(UnitSystem system) {
        this.system = system;
    }

    public static QuantityFormat of(UnitSystem system) {
        return system == UnitSystem.US ? US : SI;
    }

    /** Prints with the unit's usual number of digits. */
    public String format(Quantity quantity) {
        return format(quantity, 0);
    }

    /**
     * Prints with the digits that a step of {@code resolution} (SI) justifies; 0 for the unit's usual digits.
     */
    public String format(Quantity quantity, double resolution) {
        double si = quantity.si();
        return switch (quantity.dimension()) {
            case LENGTH -> length(si, resolution);
            case CONDUCTOR_AREA -> conductor(si);
            case MASS -> mass(si, resolution);
            case DURATION -> duration(si);
            case COUNT -> decimal(si, resolution == 0 ? 0 : digits(resolution));
            default -> {
                Choice choice = choice(quantity);
                yield choice.print(si, resolution);
            }
        };
    }

    /** Prints with the unit's usual digits, rounded up: for an amount of which at least this much is needed. */
    public String formatUp(Quantity quantity) {
        double half = printedStep(quantity) / 2 * (1 - ROUNDING);
        return format(quantity.dimension().of(quantity.si() + half));
    }

    /** Prints a change of a gas's pressure in what its gauges are marked in, with three digits. */
    String formatOfGas(double pascals, double expanded) {
        FieldUnit unit = FieldUnit.of(Dimension.PRESSURE_DIFFERENCE, system == UnitSystem.US ? "psi" : "kPa");
        MathContext digits = new MathContext(GAS_DIGITS, RoundingMode.HALF_UP);
        BigDecimal value = BigDecimal.valueOf(unit.fromSi(pascals));
        if (expanded == 0) {
            return plain(value.round(digits)) + " " + unit.symbol();
        }
        // no digit finer than what it is uncertain by (JCGM 100, 7.2.6)
        BigDecimal uncertain = BigDecimal.valueOf(unit.fromSi(expanded)).round(digits);
        return plain(value.setScale(uncertain.scale(), RoundingMode.HALF_UP)) + " " + unit.symbol() + " ± "
                + plain(uncertain) + " " + unit.symbol();
    }

    private static String plain(BigDecimal number) {
        return number.signum() == 0 ? "0" : number.stripTrailingZeros().toPlainString();
    }

    /** Prints a half-width of which no more is allowed: one digit, rounded down. */
    public String formatAtMost(Dimension dimension, double si) {
        FieldUnit unit =
                switch (dimension) {
                    case LENGTH -> FieldUnit.of(dimension, system == UnitSystem.US ? "in" : "mm");
                    case TEMPERATURE -> choice(TemperatureDifference.ofKelvin(si)).unit;
                    default -> choice(dimension.of(si)).unit;
                };
        BigDecimal digit =
                BigDecimal.valueOf(unit.fromSi(si) * (1 + ROUNDING)).round(new MathContext(1, RoundingMode.DOWN));
        return digit.toPlainString() + " " + unit.symbol();
    }

    /** The step of what {@link #format(Quantity)} prints, SI. */
    private double printedStep(Quantity quantity) {
        double si = quantity.si();
        boolean us = system == UnitSystem.US;
        return switch (quantity.dimension()) {
            case LENGTH -> us ? INCH / EIGHTHS : Math.abs(si) < METRES_FROM ? MILLIMETRE : CENTIMETRE;
            case MASS ->
                us ? FieldUnit.of(Dimension.MASS, "oz").factor() / 10 : Math.abs(si) < GRAMS_BELOW ? 1e-3 : 0.01;
            case DURATION -> 1;
            case CONDUCTOR_AREA -> 0;
            default -> {
                Choice choice = choice(quantity);
                yield Math.abs(choice.unit.factor()) * Math.pow(10, -choice.usualDigits);
            }
        };
    }

    /**
     * Prints a half-width: a length in small units, a temperature as a difference.
     *
     * @param resolution step of the value's own last digit, SI; no finer digit is printed, and two digits at most
     */
    public String formatUncertainty(Dimension dimension, double si, double resolution) {
        double step = Math.min(si, Math.max(si / 10, resolution));
        return switch (dimension) {
            case LENGTH -> {
                FieldUnit unit = FieldUnit.of(dimension, system == UnitSystem.US ? "in" : "mm");
                int usual = system == UnitSystem.US ? 2 : 0;
                int digits = si == 0 ? usual : Math.max(usual, digits(si / unit.factor()));
                yield decimal(unit.fromSi(si), digits) + " " + unit.symbol();
            }
            case TEMPERATURE -> format(TemperatureDifference.ofKelvin(si), step);
            case COUNT -> decimal(si, digits(step));
            case DURATION -> duration(si);
            default -> choice(dimension.of(si)).print(si, step);
        };
    }

    /** The unit a quantity is printed in; a length's feet count as inches. */
    public FieldUnit unit(Quantity quantity) {
        return choice(quantity).unit;
    }

    private record Choice(FieldUnit unit, int usualDigits) {
        String print(double si, double resolution) {
            int digits = resolution == 0 ? usualDigits : digits(resolution / Math.abs(unit.factor()));
            boolean temperature =
                    unit.dimension() == Dimension.TEMPERATURE || unit.dimension() == Dimension.TEMPERATURE_DIFFERENCE;
            if (temperature && Math.abs(unit.fromSi(si)) >= 0.1) {
                // a tenth of a degree Fahrenheit must not read as hundredths of a kelvin
                digits = Math.min(digits, usualDigits);
            }
            if (digits == THOUSANDS_DIGITS
                    && !unit.customary()
                    && !unit.symbol().isEmpty()
                    && Math.abs(unit.fromSi(si)) >= 0.9995) {
                // "2.500 mm" could be read as two thousand five hundred
                digits--;
            }
            String gap = unit.symbol().isEmpty() ? "" : " ";
            String number = decimal(unit.fromSi(si), digits);
            return (resolution == 0 ? withoutZeros(number) : number) + gap + unit.symbol();
        }
    }

    private Choice choice(Quantity quantity) {
        boolean us = system == UnitSystem.US;
        double size = Math.abs(quantity.si());
        Dimension d = quantity.dimension();
        return switch (d) {
            case GAUGE_PRESSURE -> us ? in(d, "psig", 0) : in(d, "barg", 2);
            case ABSOLUTE_PRESSURE ->
                size < DEEP_VACUUM_BELOW
                        ? (us ? in(d, "micron", 0) : in(d, "Pa", 1))
                        : (us ? in(d, "psia", 2) : in(d, "kPa abs", 1));
            case PRESSURE_DIFFERENCE ->
                size < DUCT_PRESSURE_BELOW
                        ? (us ? in(d, "inwc", 2) : in(d, "Pa", 0))
                        : (us ? in(d, "psi", 1) : in(d, "kPa", 1));
            case TEMPERATURE -> us ? in(d, "°F", 1) : in(d, "°C", 1);
            case TEMPERATURE_DIFFERENCE -> us ? in(d, "F°", 1) : in(d, "K", 1);
            case POWER -> us ? in(d, "kBtu/h", 1) : in(d, "kW", 2);
            case VOLUME_FLOW -> us ? in(d, "cfm", 0) : in(d, "m³/h", 0);
            case CURRENT -> in(d, "A", 1);
            case VOLTAGE -> in(d, "V", 0);
            case RESISTANCE -> in(d, "ohm", 2);
            case RATIO -> in(d, "%", size < SMALL_SHARE ? 1 : 0);
            case CONDUCTOR_AREA -> in(d, "mm²", 1);
            case MASS -> us ? in(d, "oz", 1) : size < GRAMS_BELOW ? in(d, "g", 0) : in(d, "kg", 3);
            case LENGTH -> us ? in(d, "in", 1) : in(d, "mm", 0);
            case DURATION -> in(d, "min", 0);
            case AREA ->
                size < OPENING_BELOW
                        ? (us ? in(d, "in²", 0) : in(d, "cm²", 0))
                        : (us ? in(d, "ft²", 0) : in(d, "m²", 1));
            case SOUND_LEVEL -> in(d, "dB", 1);
            case FREQUENCY -> in(d, "rpm", 0);
            case TORQUE -> us ? in(d, "ft·lb", 1) : in(d, "N·m", 1);
            case LINEAR_DENSITY -> us ? in(d, "oz/ft", 2) : in(d, "g/m", 0);
            case VOLUME ->
                us
                        ? size < JUG_BELOW ? in(d, "gal", 2) : in(d, "ft³", size < ROOM_FROM ? 1 : 0)
                        : size < ROOM_FROM ? in(d, "L", 2) : in(d, "m³", 1);
            case LIQUID_FLOW -> us ? in(d, "gal/h", 2) : in(d, "L/h", 1);
            case VELOCITY -> us ? in(d, "fpm", 0) : in(d, "m/s", 2);
            case THERMAL_CONDUCTIVITY -> us ? in(d, "Btu·in/h·ft²·F°", 3) : in(d, "W/m·K", 3);
            case HEATING_VALUE -> us ? in(d, "Btu/ft³", 0) : in(d, "MJ/m³", 1);
            case CONCENTRATION -> in(d, "ppm", 0);
            case PERFORMANCE -> in(d, "COP", 2);
            case FORCE -> us ? in(d, "lbf", 1) : in(d, "N", 0);
            case LEAK -> in(d, "Pa·L/s", size < SMALL_LEAK ? 5 : 3);
            case COUNT -> in(d, "", 0);
        };
    }

    private static Choice in(Dimension dimension, String symbol, int digits) {
        return new Choice(FieldUnit.of(dimension, symbol), digits);
    }

    private String length(double metres, double resolution) {
        if (resolution > 0 && resolution < MILLIMETRE && Math.abs(metres) < FINE_BELOW) {
            // orifices, deflections: told apart by less than the eighths and millimetres of a tape
            return system == UnitSystem.SI
                    ? in(Dimension.LENGTH, "mm", 2).print(metres, resolution)
                    : in(Dimension.LENGTH, "in", 3).print(metres, resolution);
        }
        if (system == UnitSystem.SI) {
            return Math.abs(metres) < METRES_FROM
                    ? in(Dimension.LENGTH, "mm", 0).print(metres, Math.max(resolution, 1e-3))
                    : in(Dimension.LENGTH, "m", 1).print(metres, Math.max(resolution, 0.01));
        }
        if (resolution >= 12 * INCH) {
            return in(Dimension.LENGTH, "ft", 0).print(metres, 0);
        }
        return feetAndInches(metres / INCH);
    }

    private static String feetAndInches(double inches) {
        long eighths = Math.round(Math.abs(inches) * EIGHTHS);
        String sign = inches < 0 && eighths > 0 ? "-" : "";
        long perFoot = 12L * EIGHTHS;
        if (eighths < INCHES_ALONE_BELOW * EIGHTHS) {
            return sign + inches(eighths) + " in";
        }
        return sign + eighths / perFoot + "' " + inches(eighths % perFoot) + "\"";
    }

    private static String inches(long eighths) {
        long whole = eighths / EIGHTHS;
        long part = eighths % EIGHTHS;
        if (part == 0) {
            return Long.toString(whole);
        }
        long divisor = part % 4 == 0 ? 4 : part % 2 == 0 ? 2 : 1;
        String fraction = part / divisor + "/" + EIGHTHS / divisor;
        return whole == 0 ? fraction : whole + "-" + fraction;
    }

    private String conductor(double area) {
        var gauge = WireGauge.nearest(area);
        if (system == UnitSystem.US && gauge.isPresent()) {
            return WireGauge.name(gauge.getAsInt());
        }
        return new Choice(FieldUnit.of(Dimension.CONDUCTOR_AREA, "mm²"), 1)
                .print(area, area < 10e-6 ? 0.01e-6 : 0.1e-6);
    }

    private String mass(double kilograms, double resolution) {
        if (system == UnitSystem.SI) {
            if (Math.abs(kilograms) < GRAMS_BELOW) {
                return in(Dimension.MASS, "g", 0).print(kilograms, resolution);
            }
            boolean machine = Math.abs(kilograms) >= FEW_KILOGRAMS;
            return in(Dimension.MASS, "kg", machine ? 1 : 2).print(kilograms, resolution);
        }
        double tenthsOfOunce = Math.rint(
                Math.abs(kilograms) / FieldUnit.of(Dimension.MASS, "oz").factor() * 10);
        String sign = kilograms < 0 ? "-" : "";
        if (tenthsOfOunce >= FEW_POUNDS * 160) {
            return sign + decimal(Math.round(tenthsOfOunce / 160), 0) + " lb";
        }
        long pounds = (long) (tenthsOfOunce / 160);
        String tenths = decimal((tenthsOfOunce - pounds * 160) / 10, 1);
        String ounces = (resolution == 0 ? withoutZeros(tenths) : tenths) + " oz";
        return sign + (pounds == 0 ? ounces : pounds + " lb " + ounces);
    }

    private static String duration(double seconds) {
        double size = Math.abs(seconds);
        if (size >= 2 * 31_556_952.0) {
            return in(Dimension.DURATION, "a", 1).print(seconds, 0).replace(" a", " years");
        }
        if (size >= 3 * 86_400) {
            return in(Dimension.DURATION, "d", 0).print(seconds, 0).replace(" d", " days");
        }
        if (size < 120) {
            return in(Dimension.DURATION, "s", 0).print(seconds, 0);
        }
        String sign = seconds < 0 ? "-" : "";
        long whole = Math.round(size);
        if (whole < 3600 && whole % 60 != 0) {
            return sign + whole / 60 + " min " + whole % 60 + " s";
        }
        long minutes = Math.round(size / 60);
        return minutes < 60
                ? sign + minutes + " min"
                : sign + minutes / 60 + " h" + (minutes % 60 == 0 ? "" : " " + minutes % 60 + " min");
    }

    private static int digits(double resolution) {
        return (int) Math.max(0, Math.min(3, Math.ceil(-Math.log10(resolution) - 1e-9)));
    }

    private static String withoutZeros(String number) {
        return number.indexOf('.') < 0 ? number : number.replaceFirst("\\.?0+$", "");
    }

    private static String decimal(double value, int digits) {
        BigDecimal rounded = BigDecimal.valueOf(value).setScale(digits, RoundingMode.HALF_UP);
        // "-0.0" says nothing that "0.0" does not
        return String.format(Locale.ROOT, "%s", rounded.signum() == 0 ? rounded.abs() : rounded);
    }
}
