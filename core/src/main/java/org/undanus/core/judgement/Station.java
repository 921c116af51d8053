package org.undanus.core.judgement;

import java.util.Locale;

/** The stations of the walk, in working order. */
public enum Station {
    PAPERS("Papers and match", "Do the papers and plates belong together?"),
    SITING("Siting", "Has every unit the room it needs?"),
    ACCESS("Access and working space", "Can it be reached and served?"),
    MOUNTING("Mounting and penetration", "Is it fixed, and does the hole drain?"),
    PIPING("Refrigerant piping", "Are the lines right for this machine?"),
    CONDENSATE("Condensate", "Does the water get away?"),
    ELECTRICAL("Electrical protection", "Is this circuit right for this plate?"),
    FUEL("Fuel and venting", "Is the fire fed and vented safely?"),
    AIRSIDE("Air side", "Does the air get through?"),
    TIGHTNESS("Tightness test", "Did the test show that it is tight?"),
    EVACUATION("Evacuation", "Did the vacuum show that it is dry?"),
    CHARGE("Release and charge", "Is the right charge in it?"),
    RUNNING("Running performance", "Does it do what it should in this air?"),
    HANDOVER("Handover", "Is everything handed over?");

    private final String title;
    private final String question;

    Station(String title, String question) {
        this.title = title;
        this.question = question;
    }

    /** Counted from 1, as on the route. */
    public int number() {
        return ordinal() + 1;
    }

    /** The name in ids, addresses and files. */
    public String key() {
        return name().toLowerCase(Locale.ROOT);
    }

    public String title() {
        return title;
    }

    public String question() {
        return question;
    }
}
