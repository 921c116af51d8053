package org.undanus.core.judgement;

/** Who puts something right, so that each is asked for theirs alone. */
public enum Trade {
    SETTING("setting and fixing"),
    REFRIGERATION("refrigeration"),
    DRAINAGE("drainage"),
    ELECTRICAL("electrical"),
    GAS("gas and venting"),
    DUCTS("air ducts"),
    PAPERS("papers");

    private final String title;

    Trade(String title) {
        this.title = title;
    }

    public String title() {
        return title;
    }

    /** Whose work is looked at there. */
    public static Trade of(Station station) {
        return switch (station) {
            case SITING, ACCESS, MOUNTING -> SETTING;
            case PIPING, TIGHTNESS, EVACUATION, CHARGE, RUNNING -> REFRIGERATION;
            case CONDENSATE -> DRAINAGE;
            case ELECTRICAL -> ELECTRICAL;
            case FUEL -> GAS;
            case AIRSIDE -> DUCTS;
            case PAPERS, HANDOVER -> PAPERS;
        };
    }
}
