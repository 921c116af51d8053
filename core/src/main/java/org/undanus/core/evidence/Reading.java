package org.undanus.core.evidence;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * One thing read, once. Never changed: a later reading of the same point supersedes it and it stays visible.
 *
 * @param typed what was typed, to the letter
 * @param value what it was understood as
 * @param unit the unit as typed, empty for other than quantities
 * @param instrument the instrument's id, empty for the usual kind's default accuracy
 * @param by who entered it
 * @param stage of the visit it was taken on
 */
public record Reading(
        UUID id,
        PointKey key,
        String typed,
        Value value,
        String unit,
        Optional<String> instrument,
        Grade grade,
        String by,
        Instant at,
        Stage stage) {}
