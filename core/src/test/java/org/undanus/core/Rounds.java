package org.undanus.core;

/** How often what is drawn by chance is drawn: each time few, thoroughly many ({@code ./undanus test --thorough}). */
public final class Rounds {
    private Rounds() {}

    public static int of(int few, int many) {
        return Boolean.getBoolean("undanus.thorough") ? many : few;
    }
}
